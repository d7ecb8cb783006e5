import { Hours, lastAt } from './hours.ts';
import type { Placed, Shop, Task } from './schedule.ts';

/** How good a plan is: the latest over due, what all are over due, then when all are over with {@link CHANGE} a change; less is better, in this order. */
export interface Worth {
	readonly late: number;
	readonly sum: number;
	readonly ends: number;
}
/** Minutes that going from one thing to another is put at, so that hands stay at one. House rule. */
const CHANGE = 30;

export const isBetter = (a: Worth, b: Worth): boolean =>
	a.late !== b.late ? a.late < b.late : a.sum !== b.sum ? a.sum < b.sum : a.ends < b.ends;

export interface Placing extends Worth {
	readonly placed: readonly Placed[];
	readonly left: readonly string[];
}

/** A shop made ready to be planned over and over. */
export class Desk {
	readonly hours: readonly Hours[];
	readonly paces: readonly number[];
	readonly at: ReadonlyMap<string, number>;
	/** Whom each task is waited for by. */
	readonly next: readonly (readonly number[])[];

	constructor(readonly shop: Shop) {
		this.hours = shop.workers.map((w) => new Hours(w));
		this.paces = shop.workers.map((w) => w.pace);
		this.at = new Map(shop.tasks.map((t, i) => [t.id, i]));
		const next: number[][] = shop.tasks.map(() => []);
		shop.tasks.forEach((t, i) => t.after.forEach((a) => next[this.at.get(a.id)!]!.push(i)));
		this.next = next;
	}
	/** Minutes by the clock of a task with somebody, at least one. */
	length(task: Task, worker: number): number {
		return Math.max(1, Math.round(task.minutes * this.paces[worker]!));
	}

	/**
	 * Puts every task at the earliest there is for it, the first of the order first (the serial way to make a schedule):
	 * with whoever is done with it first.
	 * @param first lower goes first, of those whose turn it may be @param who says by whom a task is done; nothing is anybody
	 */
	placeAll(first: readonly number[], who?: readonly number[]): Placing {
		const bench = new Bench(this);
		const { tasks } = this.shop;
		const waits = tasks.map((t) => t.after.length);
		const ready = tasks.flatMap((_, i) => (waits[i] === 0 ? [i] : []));
		while (ready.length > 0) {
			let best = 0;
			for (let i = 1; i < ready.length; i++) if (first[ready[i]!]! < first[ready[best]!]!) best = i;
			const [task] = ready.splice(best, 1) as [number];
			bench.put(task, who?.[task]);
			for (const follower of this.next[task]!) if (--waits[follower]! === 0) ready.push(follower);
		}
		return bench.done();
	}
}

/** A stretch of somebody's hours, in minutes worked, and what it is for. */
type Taken = readonly [from: number, to: number, of: string | undefined];

/** A plan that is being made. */
export class Bench {
	/** What is taken of each one’s hours, in minutes worked, in order. */
	readonly #taken: Taken[][];
	readonly #using = new Map<string, InUse>();
	readonly #placed: (Placed | undefined)[];
	readonly #left: string[] = [];
	late = 0;
	#sum = 0;
	#ends = 0;

	constructor(private readonly desk: Desk) {
		this.#taken = desk.hours.map(() => []);
		this.#placed = desk.shop.tasks.map(() => undefined);
	}

	/** Puts one task at its earliest. */
	put(at: number, only?: number): void {
		const { shop } = this.desk;
		const task = shop.tasks[at]!;
		let from = task.release;
		for (const { id, lag } of task.after) {
			const before = this.#placed[this.desk.at.get(id)!];
			// What waits for something nobody has time for has none either.
			if (!before) return this.#leave(task.id);
			from = Math.max(from, before.end + lag);
		}
		let best: { worker: number; start: number; end: number; worked: number; length: number } | undefined;
		for (let worker = 0; worker < shop.workers.length; worker++) {
			if (only !== undefined && worker !== only) continue;
			const found = this.#earliest(task, worker, from);
			if (found && (!best || found.end < best.end || (found.end === best.end && found.start > best.start))) best = { worker, ...found }; // prettier-ignore
		}
		if (!best) return this.#leave(task.id);
		const { worker, start, end, worked, length } = best;
		insert(this.#taken[worker]!, [worked, worked + length, task.of]);
		for (const need of task.needs) {
			const own = this.#using.get(need) ?? new InUse();
			this.#using.set(need, own);
			own.add(start, end);
		}
		this.#placed[at] = { task: task.id, worker: shop.workers[worker]!.id, start, end };
		const over = Math.max(0, end - task.due);
		this.late = Math.max(this.late, over);
		this.#sum += over;
		this.#ends += end;
	} // prettier-ignore

	done(): Placing {
		const placed = this.#placed.filter((p) => p !== undefined);
		return {
			placed,
			left: this.#left,
			late: this.late,
			sum: this.#sum,
			ends: this.#ends + CHANGE * this.#changes()
		};
	}

	/** How often somebody goes from one thing to another. */
	#changes(): number {
		let changes = 0;
		for (const own of this.#taken)
			for (let i = 1; i < own.length; i++) if (own[i]![2] !== own[i - 1]![2]) changes++;
		return changes;
	}
	#leave(id: string) {
		this.#left.push(id);
		this.late = Infinity;
		this.#sum = Infinity;
	}

	/** The earliest somebody is free for it, and there is room. */
	#earliest(task: Task, worker: number, from: number) {
		const hours = this.desk.hours[worker]!;
		const length = this.desk.length(task, worker);
		let worked = hours.worked(from);
		for (;;) {
			const taken = this.#taken[worker]!;
			for (let i = firstAfter(taken, worked); i < taken.length; i++) {
				if (taken[i]![0] >= worked + length) break;
				worked = taken[i]![1];
			}
			const start = hours.begins(worked);
			const end = hours.over(worked + length);
			if (start === undefined || end === undefined) return undefined;
			const until = this.#noRoom(task, start, end);
			if (until === undefined) return { start, end, worked, length };
			worked = Math.max(worked + 1, hours.worked(until));
		}
	}

	/** When some of what is full is free again, where there is no room between two times; undefined where there is. */
	#noRoom({ needs }: Task, start: number, end: number): number | undefined {
		let until: number | undefined;
		for (const need of needs) {
			const most = this.desk.shop.room[need];
			const free = most === undefined ? undefined : this.#using.get(need)?.freeAfter(start, end, most);
			if (free !== undefined) until = Math.max(until ?? free, free);
		}
		return until;
	}
}

/** How many use something over time: a count from each time to the next. */
class InUse {
	readonly #times: number[] = [-Infinity];
	readonly #counts: number[] = [0];

	/** The place of the count at a time. */
	#at(time: number): number {
		return lastAt(this.#times, time);
	}
	#cut(time: number): number {
		const i = this.#at(time);
		if (this.#times[i] === time) return i;
		this.#times.splice(i + 1, 0, time);
		this.#counts.splice(i + 1, 0, this.#counts[i]!);
		return i + 1;
	}
	add(start: number, end: number): void {
		const from = this.#cut(start);
		const to = this.#cut(end);
		for (let i = from; i < to; i++) this.#counts[i]!++;
	}
	/** When there is room again where there is none for all of a time; undefined where there is. */
	freeAfter(start: number, end: number, most: number): number | undefined {
		for (let i = this.#at(start); i < this.#times.length && this.#times[i]! < end; i++) {
			if (this.#counts[i]! < most) continue;
			while (this.#counts[i]! >= most) i++;
			return this.#times[i];
		}
		return undefined;
	}
}

/** The first of these, in order, that ends after a value. */
function firstAfter(all: readonly Taken[], value: number): number {
	let [low, high] = [0, all.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (all[middle]![1] <= value) low = middle + 1;
		else high = middle;
	}
	return low;
}

/** Puts a stretch among others that are in order. */
function insert(all: Taken[], one: Taken) {
	let i = all.length;
	while (i > 0 && all[i - 1]![0] > one[0]) i--;
	all.splice(i, 0, one);
}
