import { SvelteMap } from 'svelte/reactivity';
import type { TallyMark } from '../../core/job/tally-marks.ts';
import { markPlace } from '../../core/job/tally-marks.ts';

/** What everybody counted, as the server has it; `many` marks went into it. */
export interface TallySums {
	readonly done: Readonly<Record<string, number>>;
	readonly lost: number;
	readonly many: number;
}

/** Sends what was counted, or nothing to ask only. @returns the sums with it; `later` where there is no line, `refused` where it is not taken */
export type SendMarks = (marks: readonly TallyMark[]) => Promise<TallySums | 'later' | 'refused'>;

interface Kept {
	getItem(key: string): string | null;
	setItem(key: string, value: string): void;
}

/** So many are sent at once. */
const MOST = 200;

/**
 * The count of a job at the bench. A tap is on the screen at once and kept on this device; it is sent when there is a line,
 * and by its id it counts once however often it is sent. What others counted comes with each answer.
 */
export class TallyBoard {
	/** What is shown of each place: as the server has it, and what waits here. */
	readonly #shown = new SvelteMap<string, number>();
	#sums: TallySums;
	#waiting: TallyMark[] = [];
	#sending = false;
	waits = $state(0);
	refused = $state(false);
	lost = $state(0);

	/** @param sums as the page was made with @param newId of a mark */
	constructor(
		readonly job: string,
		sums: TallySums,
		private readonly send: SendMarks,
		private readonly kept: Kept,
		private readonly newId: () => string = () => crypto.randomUUID()
	) {
		const before = this.#read();
		this.#waiting = before.waiting;
		// A page from before the line was lost knows less than this device does.
		this.#sums = before.sums.many > sums.many ? before.sums : sums;
		this.#show();
	}

	/** What is done of a place; below nothing is nothing. */
	done(line: string, step: string): number {
		return Math.max(0, this.#shown.get(markPlace(line, step)) ?? 0);
	}

	put(mark: Omit<TallyMark, 'id' | 'at'>, at: number): void {
		// Of nothing nothing is taken back.
		if (mark.kind === 'done' && mark.amount < 0 && this.done(mark.line, mark.step) === 0) return;
		if (mark.kind === 'lost' && mark.amount < 0 && this.lost === 0) return;
		this.#waiting.push({ ...mark, id: this.newId(), at });
		this.#add(mark);
		this.refused = false;
		this.#keep();
		void this.flush();
	}

	/** Sends what waits, and asks what others counted. Called when there may be a line again. */
	async flush(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		try {
			do {
				const batch = this.#waiting.slice(0, MOST);
				const answer = await this.send(batch);
				if (answer === 'later') return;
				this.#waiting = this.#waiting.filter((w) => !batch.includes(w));
				if (answer === 'refused') this.refused = true;
				else this.#sums = answer;
				this.#show();
				this.#keep();
			} while (this.#waiting.length > 0);
		} finally {
			this.#sending = false;
		}
	}

	#add({ kind, line, step, amount }: Pick<TallyMark, 'kind' | 'line' | 'step' | 'amount'>) {
		const place = markPlace(line, step);
		if (kind === 'done') this.#shown.set(place, (this.#shown.get(place) ?? 0) + amount);
		if (kind === 'lost') this.lost += amount;
	}
	#show() {
		for (const place of this.#shown.keys()) if (!(place in this.#sums.done)) this.#shown.delete(place);
		for (const [place, sum] of Object.entries(this.#sums.done)) this.#shown.set(place, sum);
		this.lost = this.#sums.lost;
		for (const mark of this.#waiting) this.#add(mark);
		this.waits = this.#waiting.length;
	}
	get #place() {
		return `tally/${this.job}`;
	}
	#keep() {
		this.waits = this.#waiting.length;
		try {
			this.kept.setItem(this.#place, JSON.stringify({ waiting: this.#waiting, sums: this.#sums }));
		} catch {
			// No room to keep it: it is sent from memory.
		}
	}
	#read(): { waiting: TallyMark[]; sums: TallySums } {
		const nothing = { waiting: [], sums: { done: {}, lost: 0, many: -1 } };
		try {
			const found = JSON.parse(this.kept.getItem(this.#place) ?? 'null') as Partial<typeof nothing> | null;
			const sums = found?.sums;
			const isWhole = sums && typeof sums.many === 'number' && typeof sums.lost === 'number' && typeof sums.done === 'object'; // prettier-ignore
			return {
				waiting: Array.isArray(found?.waiting) ? (found.waiting as unknown[]).filter(isMark) : [],
				sums: isWhole ? sums : nothing.sums
			};
		} catch {
			return nothing;
		}
	}
}

const isMark = (value: unknown): value is TallyMark => {
	const mark = value as Partial<TallyMark> | null;
	return typeof mark === 'object' && mark !== null && typeof mark.id === 'string' && typeof mark.line === 'string' && typeof mark.step === 'string' && typeof mark.amount === 'number'; // prettier-ignore
};
