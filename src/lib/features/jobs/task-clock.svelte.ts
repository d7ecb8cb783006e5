import { LONGEST_TIMED } from '../../core/job/tally-marks.schema.ts';

interface Kept {
	getItem(key: string): string | null;
	setItem(key: string, value: string): void;
	removeItem(key: string): void;
}
interface Since {
	readonly line: string;
	readonly step: string;
	/** Milliseconds since 1970. */
	readonly at: number;
}
interface Ran {
	readonly line: string;
	readonly step: string;
	readonly seconds: number;
}

/** A clock for one step at a time. It runs on through a reload. */
export class TaskClock {
	#since = $state<Since | null>(null);
	#now = $state(0);
	#ticking: ReturnType<typeof setInterval> | undefined;

	constructor(
		private readonly place: string,
		private readonly kept: Kept
	) {
		try {
			const found = JSON.parse(kept.getItem(place) ?? 'null') as { line?: unknown; step?: unknown; at?: unknown } | null;
			if (typeof found?.line === 'string' && typeof found.step === 'string' && typeof found.at === 'number')
				this.#run({ line: found.line, step: found.step, at: found.at });
		} catch {
			// What cannot be read did not run.
		}
	} // prettier-ignore

	get runs(): boolean {
		return this.#since !== null;
	}
	get shown(): string {
		const seconds = this.#since === null ? 0 : Math.max(0, Math.floor((this.#now - this.#since.at) / 1000));
		return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
	}
	start(line: string, step: string): void {
		const since = { line, step, at: Date.now() };
		this.kept.setItem(this.place, JSON.stringify(since));
		this.#run(since);
	}
	/** @returns what it ran for, whole seconds; nothing where it did not run */
	stop(): Ran | undefined {
		clearInterval(this.#ticking);
		const since = this.#since;
		if (since === null) return undefined;
		this.#since = null;
		this.kept.removeItem(this.place);
		// A clock somebody forgot is no work of half a day.
		const seconds = Math.min(LONGEST_TIMED, Math.round((Date.now() - since.at) / 1000));
		return { line: since.line, step: since.step, seconds };
	}
	/** Lets it run on, unseen. */
	leave(): void {
		clearInterval(this.#ticking);
	}
	#run(since: Since) {
		this.#since = since;
		this.#now = Date.now();
		clearInterval(this.#ticking);
		this.#ticking = setInterval(() => (this.#now = Date.now()), 500);
	}
}
