import { SvelteSet } from 'svelte/reactivity';

/** A tick put on or taken off a list. */
export interface Tick {
	readonly list: string;
	readonly key: string;
	readonly on: boolean;
}

/** What waits to be sent, where a reload finds it. */
interface Kept {
	getItem(key: string): string | null;
	setItem(key: string, value: string): void;
	removeItem(key: string): void;
}

/** Sends ticks in their order. @returns `done`, `later` where there is no line, `refused` where they are not taken */
export type SendTicks = (ticks: readonly Tick[]) => Promise<'done' | 'later' | 'refused'>;

const name = ({ list, key }: Pick<Tick, 'list' | 'key'>) => `${list}\n${key}`;
/** So many are sent at once. */
const MOST = 200;

/** Ticks on the lists of a job: shown at once, kept here until they are sent, sent in their order when there is a line. */
export class Ticks {
	readonly #on = new SvelteSet<string>();
	#waiting: Tick[] = [];
	#sending = false;
	/** How many wait to be sent. */
	waits = $state(0);
	refused = $state(false);

	/** @param job whose they are @param ticked what is ticked by the server */
	constructor(
		readonly job: string,
		ticked: readonly Omit<Tick, 'on'>[],
		private readonly send: SendTicks,
		private readonly kept: Kept
	) {
		for (const tick of ticked) this.#on.add(name(tick));
		this.#waiting = this.#read();
		for (const tick of this.#waiting) this.#show(tick);
		this.waits = this.#waiting.length;
	}

	isOn(list: string, key: string): boolean {
		return this.#on.has(name({ list, key }));
	}

	put(tick: Tick): void {
		this.#show(tick);
		this.refused = false;
		// What of this one waits still is overtaken; the last word counts.
		this.#waiting = [...this.#waiting.filter((w) => name(w) !== name(tick)), tick];
		this.#keep();
		void this.flush();
	}

	/** Sends what waits. Called when there may be a line again. */
	async flush(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		try {
			while (this.#waiting.length > 0) {
				const batch = this.#waiting.slice(0, MOST);
				const outcome = await this.send(batch);
				if (outcome === 'later') return;
				// What was ticked meanwhile is another thing, and waits still.
				this.#waiting = this.#waiting.filter((w) => !batch.includes(w));
				this.#keep();
				if (outcome === 'refused') this.refused = true;
			}
		} finally {
			this.#sending = false;
		}
	}

	#show({ on, ...of }: Tick) {
		if (on) this.#on.add(name(of));
		else this.#on.delete(name(of));
	}
	get #place() {
		return `ticks/${this.job}`;
	}
	#keep() {
		this.waits = this.#waiting.length;
		try {
			if (this.waits === 0) this.kept.removeItem(this.#place);
			else this.kept.setItem(this.#place, JSON.stringify(this.#waiting));
		} catch {
			// No room to keep them: they are sent from memory.
		}
	}
	#read(): Tick[] {
		try {
			const found = JSON.parse(this.kept.getItem(this.#place) ?? '[]') as unknown;
			return Array.isArray(found) ? found.filter(isTick) : [];
		} catch {
			return [];
		}
	}
}

const isTick = (value: unknown): value is Tick =>
	typeof value === 'object' &&
	value !== null &&
	'list' in value &&
	'key' in value &&
	'on' in value &&
	typeof value.list === 'string' &&
	typeof value.key === 'string' &&
	typeof value.on === 'boolean';
