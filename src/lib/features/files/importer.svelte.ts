import { LARGEST_FILE } from '../../core/files/bundle.schema.ts';
import type { FileAsk, FileTell } from '../../workers/recipe-file.worker.ts';
import RecipeFileWorker from '../../workers/recipe-file.worker.ts?worker';

type Plan = Extract<FileTell, { kind: 'plan' }>;
type Told<K extends FileTell['kind']> = Extract<FileTell, { kind: K }>;

/** A recipe file on its way in: read and compared in a worker, shown, then sent part by part. */
export class Importer {
	step = $state<'choose' | 'reading' | 'preview' | 'bringing' | 'done'>('choose');
	trouble = $state('');
	done = $state(0);
	all = $state(0);
	plan = $state.raw<Plan | null>(null);
	misread = $state.raw<Told<'read'>['misread']>([]);
	#worker: Worker | null = null;
	#cancelled = false;
	readonly coming = $derived(
		this.plan?.designs.filter((d) => d.what === 'new' || d.what === 'copy').length ?? 0
	);

	/** Reads a file or pasted text, and shows what it would bring. */
	async read(source: File | string) {
		this.close();
		this.trouble = '';
		this.plan = null;
		this.misread = [];
		if (typeof source !== 'string' && source.size > LARGEST_FILE) {
			this.trouble = `That file has ${Math.round(source.size / 1024 / 1024)} MB; at most 30 MB is read. Take fewer designs away at once, in several files.`;
			return;
		}
		this.#cancelled = false;
		this.step = 'reading';
		this.done = this.all = 0;
		try {
			const text = typeof source === 'string' ? source : await source.text();
			const read = await this.#ask({ kind: 'read', text }, 'read');
			this.misread = read.misread;
			const response = await fetch('/shelf/bring/here', {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ ids: read.ids })
			});
			if (!response.ok) throw new Error(await said(response));
			this.plan = await this.#ask({ kind: 'plan', here: await response.json() }, 'plan');
			this.step = 'preview';
		} catch (error) {
			this.#fail(error);
		}
	}
	/** Does what the preview shows. */
	async bring() {
		if (this.step !== 'preview') return;
		this.step = 'bringing';
		this.done = 0;
		this.all = this.coming;
		try {
			for (let from = 0; ;) {
				const part = await this.#ask({ kind: 'part', from }, 'part');
				const response = await fetch('/shelf/bring', {
					method: 'POST',
					headers: { 'content-type': 'application/json' },
					body: part.body
				});
				if (!response.ok) throw new Error(await said(response));
				this.done = from = part.next;
				if (from >= part.all) break;
				if (this.#cancelled)
					throw new Error(
						`Stopped: ${from} of ${part.all} are on the Shelf. Bring the file again for the rest.`
					);
			}
			this.step = 'done';
			this.close();
		} catch (error) {
			this.#fail(error);
		}
	}
	cancel() {
		this.#cancelled = true;
		if (this.step === 'bringing') return;
		this.close();
		this.step = 'choose';
	}
	close() {
		this.#worker?.terminate();
		this.#worker = null;
	}
	#fail(error: unknown) {
		this.close();
		this.trouble =
			error instanceof TypeError
				? 'The Shelf cannot be reached just now. Try again in a moment.'
				: (error as Error).message;
		this.step = 'choose';
	}
	#ask<K extends FileTell['kind']>(ask: FileAsk, wanted: K): Promise<Told<K>> {
		const worker = (this.#worker ??= new RecipeFileWorker());
		return new Promise((resolve, reject) => {
			worker.onerror = () => reject(new Error('That file could not be read here. Try a smaller one.'));
			worker.onmessage = ({ data }: MessageEvent<FileTell>) => {
				if (data.kind === 'progress') [this.done, this.all] = [data.done, data.all];
				else if (data.kind === 'refused') reject(new Error(data.say));
				else if (data.kind === wanted) resolve(data as Told<K>);
			};
			worker.postMessage(ask);
		});
	}
}

const said = async (response: Response): Promise<string> =>
	((await response.json().catch(() => undefined)) as { message?: string } | undefined)?.message ??
	'The Shelf did not take it. Try again in a moment.';
