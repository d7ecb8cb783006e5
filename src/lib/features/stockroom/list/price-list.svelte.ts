import type { Columns, SavedColumns } from '../../../core/price-list/columns.ts';
import { MOST_BYTES, type Encoding } from '../../../core/price-list/decode.ts';
import type { ListChoices, ListStock, RowOutcome, RowState } from '../../../core/price-list/plan-list.ts';
import type { ListAsk, ListTell } from '../../../workers/price-list.worker.ts';
import ListWorker from '../../../workers/price-list.worker.ts?worker';

type TableTell = Extract<ListTell, { kind: 'table' }>;

/** Whose list it is, how its numbers are read, and its columns as they were mapped before. */
export interface ListAsked {
	readonly supplier: string | null;
	readonly numbers: Omit<ListChoices, 'columns'>;
	readonly saved: SavedColumns;
}

/** A price list that is being looked at: read and matched in a worker, stopped by ending it. */
export class PriceListRead {
	table = $state.raw<Omit<TableTell, 'kind' | 'text'> | null>(null);
	counts = $state.raw<Readonly<Record<RowState, number>> | null>(null);
	rows = $state.raw<readonly RowOutcome[]>([]);
	/** The rows that are shown. */
	shown = $state<RowState>('changes');
	trouble = $state('');
	file = $state('');
	/** Rows that are done, of how many; null while nothing runs. */
	progress = $state.raw<{ done: number; of: number } | null>(null);
	columns = $state.raw<Columns>({});
	text = '';
	#source: ArrayBuffer | string | null = null;
	#worker: Worker | undefined;
	readonly #asked: () => ListAsked;
	/** The Stockroom as it was when the list was taken. */
	#stock: Pick<ListStock, 'materials' | 'colours'> = { materials: [], colours: [] };
	names = $state.raw<ReadonlyMap<string, string>>(new Map());

	/** @param asked whose list it is, and how it is read, whenever it is matched */
	constructor(asked: () => ListAsked) {
		this.#asked = asked;
	}

	/** Takes a file or pasted rows. */
	async take(from: File | string): Promise<void> {
		this.#forget();
		this.file = typeof from === 'string' ? 'pasted rows' : from.name.slice(0, 120);
		if (typeof from !== 'string' && from.size > MOST_BYTES) {
			this.trouble = `${from.name} has ${Math.ceil(from.size / 1024 / 1024)} MB; at most 12 are read. Split it, or leave out the columns that are not needed.`;
			return;
		}
		try {
			this.progress = { done: 0, of: 0 };
			this.#source = typeof from === 'string' ? from : await from.arrayBuffer();
			const answer = await fetch('/stockroom/list/stock');
			if (!answer.ok) throw new Error('not answered');
			this.#stock = (await answer.json()) as Pick<ListStock, 'materials' | 'colours'>;
			this.names = new Map(this.#stock.materials.map((m) => [m.id, m.name]));
		} catch {
			this.progress = null;
			this.trouble = 'The file could not be read. Choose it again.';
			return;
		}
		this.read();
	}

	/** Reads it once more. @param encoding as she says */
	read(encoding?: Encoding): void {
		if (this.#source === null) return;
		this.progress = { done: 0, of: 0 };
		this.#ask({ read: this.#source, encoding, saved: this.#asked().saved });
	}

	/** Matches its rows with what is there. */
	match(): void {
		if (!this.table) return;
		const { supplier, numbers } = this.#asked();
		this.counts = null;
		this.progress = { done: 0, of: this.table.many };
		this.#ask({ plan: { ...numbers, columns: this.columns }, stock: { ...this.#stock, supplier } });
	}

	show(state: RowState): void {
		this.shown = state;
		this.rows = [];
		this.#ask({ more: state, from: 0 });
	}
	more(): void {
		this.#ask({ more: this.shown, from: this.rows.length });
	}

	/** Stops what runs; what was read is let go. */
	stop(): void {
		this.#forget();
	}

	close(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
	}

	#forget(): void {
		this.close();
		[this.table, this.counts, this.rows, this.progress, this.trouble, this.text] = [null, null, [], null, '', '']; // prettier-ignore
	}

	#ask(ask: ListAsk): void {
		if (!this.#worker) {
			this.#worker = new ListWorker();
			this.#worker.onmessage = ({ data }: MessageEvent<ListTell>) => this.#hear(data);
			this.#worker.onerror = () => {
				this.#forget();
				this.trouble = 'That list could not be read. Save it as CSV (UTF-8) and choose it again.';
			};
		}
		this.#worker.postMessage($state.snapshot(ask));
	}

	#hear(told: ListTell): void {
		if (told.kind === 'progress') this.progress = told;
		else if (told.kind === 'rows') {
			if (told.state === this.shown) this.rows = told.from === 0 ? told.rows : [...this.rows, ...told.rows];
		} else if (told.kind === 'plan') {
			this.progress = null;
			this.counts = told.counts;
			// What is to be looked at first: rows with trouble, then what it would do.
			const first = (['problem', 'changes', 'another', 'new', 'unknown', 'same'] as const).find((s) => told.counts[s] > 0); // prettier-ignore
			this.show(first ?? 'changes');
		} else if (told.kind === 'trouble') {
			this.#forget();
			this.trouble = told.say;
		} else {
			[this.table, this.text, this.columns, this.progress] = [told, told.text, told.guess, null];
			this.match();
		}
	}
}
