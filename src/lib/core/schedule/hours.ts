import type { Minute, Worker } from './schedule.ts';

/** The hours of somebody as one line of work: minute by minute worked, nights left out. */
export class Hours {
	readonly #from: number[] = [];
	readonly #to: number[] = [];
	/** Minutes worked before each of them. */
	readonly #before: number[] = [];
	/** Minutes of all hours. */
	readonly all: number;

	constructor({ hours }: Pick<Worker, 'hours'>) {
		let sum = 0;
		for (const [from, to] of hours) {
			if (to <= from) continue;
			this.#from.push(from);
			this.#to.push(to);
			this.#before.push(sum);
			sum += to - from;
		}
		this.all = sum;
	}

	/** Minutes worked before a time. */
	worked(time: Minute): number {
		const i = lastAt(this.#from, time);
		return i < 0 ? 0 : this.#before[i]! + Math.min(time, this.#to[i]!) - this.#from[i]!;
	}
	/** When the minute after so many worked begins; undefined where nobody works it. */
	begins(worked: number): Minute | undefined {
		if (worked >= this.all) return undefined;
		const i = lastAt(this.#before, worked);
		return this.#from[i]! + worked - this.#before[i]!;
	}
	/** When so many are worked; undefined where they never are. */
	over(worked: number): Minute | undefined {
		if (worked > this.all) return undefined;
		// What ends with a day ends in its evening, not on the next morning.
		const i = Math.max(0, lastAt(this.#before, worked - 1e-9));
		return this.#from[i]! + worked - this.#before[i]!;
	}
}

/** The last of these, in order, that is not above a value; −1 where all are. */
export function lastAt(values: readonly number[], value: number): number {
	let [low, high] = [0, values.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (values[middle]! <= value) low = middle + 1;
		else high = middle;
	}
	return low - 1;
}
