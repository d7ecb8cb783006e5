import { lastAt } from './hours.ts';
import type { Desk } from './place-all.ts';
import { inOrder, type Shop, type Task } from './schedule.ts';

/** The earliest each may begin and the latest each may be over, by what comes before and behind it, whoever does it. */
export interface Limits {
	readonly heads: readonly number[];
	readonly dues: readonly number[];
}

/** Heads and tails along the precedence, every task as quick as the quickest is. */
export function limitsOf({ shop, at }: Desk): Limits {
	const quickest = Math.min(...shop.workers.map((w) => w.pace));
	const length = (t: Task) => Math.max(1, Math.round(t.minutes * quickest));
	const order = inOrder(shop.tasks);
	const heads = shop.tasks.map((t) => t.release);
	const dues = shop.tasks.map((t) => t.due);
	for (const task of order)
		for (const { id, lag } of task.after) {
			const before = at.get(id)!;
			const own = at.get(task.id)!;
			heads[own] = Math.max(heads[own]!, heads[before]! + length(shop.tasks[before]!) + lag);
		}
	for (const task of order.toReversed())
		for (const { id, lag } of task.after) {
			const before = at.get(id)!;
			dues[before] = Math.min(dues[before]!, dues[at.get(task.id)!]! - length(task) - lag);
		}
	return { heads, dues };
}

/**
 * How late the latest is at least, whatever the plan: by the way of each task alone, and by the work of all that may not
 * begin before one time and have to be over by another, which is done in nobody’s hours but those between (energy).
 */
export function boundOf(desk: Desk, limits: Limits): number {
	const { shop, hours, paces } = desk;
	if (shop.tasks.length === 0 || shop.workers.length === 0) return 0;
	let bound = 0;
	for (const [i, task] of shop.tasks.entries()) {
		const ends = hours.map((h, w) => h.over(h.worked(limits.heads[i]!) + desk.length(task, w)) ?? Infinity);
		bound = Math.max(bound, Math.min(...ends) - limits.dues[i]!);
	}
	// Lengths by the clock are whole: so much of the standards' time each takes at least.
	const least = shop.tasks.map((t) => Math.min(...paces.map((pace, w) => desk.length(t, w) / pace)));
	const byDue = shop.tasks.map((_, i) => i).sort((a, b) => limits.dues[a]! - limits.dues[b]!);
	const rooms = Object.entries(shop.room).filter(([need]) => shop.tasks.some((t) => t.needs.includes(need)));
	const all: [tasks: readonly number[], most: number][] = [
		[byDue, shop.workers.length],
		...rooms.map(([need, most]): [readonly number[], number] => [
			byDue.filter((i) => shop.tasks[i]!.needs.includes(need)),
			most
		])
	];
	for (const [tasks, most] of all)
		bound = Math.max(bound, energy(tasks, new Hands(shop.workers, most), least, limits, bound));
	return Math.max(0, Math.floor(bound));
}

/** What the quickest of those who are there get done, so many at once: standard minutes up to a time. */
class Hands {
	readonly #at: number[] = [];
	readonly #done: number[] = [];
	readonly #speed: number[] = [];
	constructor(workers: Shop['workers'], most: number) {
		const times = [...new Set(workers.flatMap((w) => w.hours.flat()))].sort((a, b) => a - b);
		const next = workers.map(() => 0);
		let done = 0;
		for (const [i, at] of times.entries()) {
			if (i > 0) done += this.#speed[i - 1]! * (at - times[i - 1]!);
			const there = workers.flatMap(({ hours, pace }, w) => {
				while (next[w]! < hours.length && hours[next[w]!]![1] <= at) next[w]!++;
				const own = hours[next[w]!];
				return own && own[0] <= at ? [1 / pace] : [];
			});
			this.#at.push(at);
			this.#done.push(done);
			this.#speed.push(
				there
					.sort((a, b) => b - a)
					.slice(0, most)
					.reduce((a, b) => a + b, 0)
			);
		}
	}
	/** The last time anybody works. */
	get far(): number {
		return this.#at.at(-1) ?? 0;
	}
	done(time: number): number {
		const i = lastAt(this.#at, time);
		return i < 0 ? 0 : this.#done[i]! + this.#speed[i]! * (time - this.#at[i]!);
	}
}

/** The least that is late because all that may not begin before a time is more than can be done by another. */
function energy(byDue: readonly number[], hands: Hands, least: readonly number[], { heads, dues }: Limits, known: number): number {
	let bound = known;
	for (const head of new Set(byDue.map((i) => heads[i]!))) {
		const before = hands.done(head);
		let work = 0;
		for (const i of byDue) {
			if (heads[i]! < head) continue;
			work += least[i]!;
			const due = dues[i]!;
			const done = (by: number) => hands.done(Math.max(head, by)) - before + 1e-6;
			if (done(due + bound) >= work) continue;
			// The least that is late with so much work: looked for by halves.
			let [low, high] = [due + bound, Math.max(hands.far, due + bound)];
			if (done(high) < work) return Infinity;
			while (high - low > 1) {
				const middle = Math.floor((low + high) / 2);
				if (done(middle) >= work) high = middle;
				else low = middle;
			}
			bound = Math.max(bound, high - due);
		}
	}
	return bound;
} // prettier-ignore
