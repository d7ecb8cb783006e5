import { randomLcg, randomInt } from 'd3-random';
import { boundOf, limitsOf, type Limits } from './bound.ts';
import { Bench, Desk, isBetter, type Placing } from './place-all.ts';
import type { Schedule, Shop } from './schedule.ts';

/** So few tasks are gone through in all their orders. */
const FEW = 7;
/** Plans that are gone through at most where it is exact. */
const MOST_NODES = 400_000;

export interface Effort {
	/** Tries to make it better, at most. */
	readonly rounds: number;
	/** Asked between tries; the best so far stands when it says no. */
	readonly goesOn?: () => boolean;
	readonly seed?: number;
}

/**
 * A plan in which the latest is as little late as can be found, then all together, then all as early as may be. Few tasks
 * are gone through whole (branch and bound over the serial way, which has a best plan among its plans: Sprecher, Kolisch
 * & Drexl 1995); of many the best of several orders is made better by moving what is late forward (hill climbing with
 * seeded chance). What is known to be impossible to beat is told beside it.
 * @throws RangeError where tasks wait for each other
 */
export function solve(shop: Shop, effort: Effort): Schedule {
	if (shop.tasks.length === 0) return { placed: [], late: 0, bound: 0, proved: true, left: [] };
	if (shop.workers.length === 0)
		return { placed: [], late: Infinity, bound: Infinity, proved: true, left: shop.tasks.map((t) => t.id) };
	const desk = new Desk(shop);
	const limits = limitsOf(desk);
	const bound = boundOf(desk, limits);
	const best = firstOf(desk, limits);
	if (shop.tasks.length <= FEW) {
		const all = throughAll(desk, limits, best, bound);
		const { placed, late, left } = all.best;
		return { placed, late, left, bound: all.whole ? late : bound, proved: all.whole || late <= bound };
	}
	const { placed, late, left } = improve(desk, limits, best, effort);
	return { placed, late, left, bound, proved: late <= bound };
}

type Keyed = Placing & { readonly keys: readonly number[] };

/** The best of the usual orders: the earliest due first, the least slack first, the earliest to begin first. */
function firstOf(desk: Desk, { heads, dues }: Limits): Keyed {
	const { tasks } = desk.shop;
	const things = [...new Set(tasks.map((t) => t.of))];
	const orders = [
		// One thing after the other, those that are due first before.
		tasks.map(
			(t, i) =>
				Math.min(...tasks.flatMap((o, k) => (o.of === t.of ? [dues[k]!] : []))) +
				things.indexOf(t.of) / 1e3 +
				i / 1e6
		),
		dues,
		tasks.map((t, i) => dues[i]! - heads[i]! - t.minutes),
		heads,
		tasks.map((t, i) => dues[i]! - t.minutes),
		tasks.map((t, i) => dues[i]! - t.minutes / 1000 - (heads[i]! - dues[i]!) / 1e6)
	];
	return orders
		.map((keys): Keyed => ({ ...desk.placeAll(keys), keys }))
		.reduce((a, b) => (isBetter(b, a) ? b : a));
}

/** Moves what is late, or anything, to another place in the order, as long as that is no worse. */
function improve(desk: Desk, { dues }: Limits, first: Keyed, { rounds, goesOn, seed = 0.42 }: Effort): Placing {
	const { tasks } = desk.shop;
	const source = randomLcg(seed);
	const any = randomInt.source(source)(tasks.length);
	// Places in the order, so that one goes before another.
	let keys = rank(first.keys);
	let best: Placing = first;
	for (let round = 0; round < rounds; round++) {
		if (goesOn && !goesOn()) break;
		const late = best.placed.filter((p) => p.end > tasks[desk.at.get(p.task)!]!.due);
		const moved = late.length > 0 && source() < 0.6 ? desk.at.get(late[Math.floor(source() * late.length)]!.task)! : any();
		const to = source() < 0.5 ? keys[any()]! : keys[moved]! - 1 - Math.floor(source() * tasks.length * 0.3);
		const next = [...keys];
		next[moved] = to - 0.5;
		// What it waits for goes before it too, or it gains nothing by it.
		for (const { id } of tasks[moved]!.after) {
			const before = desk.at.get(id)!;
			if (next[before]! > next[moved]!) next[before] = next[moved]! - 0.25;
		}
		const tried = desk.placeAll(next);
		if (isBetter(best, tried)) continue;
		best = tried;
		keys = rank(next);
		if (best.late === 0 && round > dues.length * 4) break;
	}
	return best;
} // prettier-ignore

const rank = (keys: readonly number[]): number[] => {
	const order = keys.map((_, i) => i).sort((a, b) => keys[a]! - keys[b]! || a - b);
	const ranks = keys.map(() => 0);
	order.forEach((task, at) => (ranks[task] = at));
	return ranks;
};

/** Goes through all orders and all hands, leaving out what cannot be better. @returns the best, and whether all were gone through */
function throughAll(desk: Desk, { dues }: Limits, first: Placing, bound: number) {
	const { tasks, workers } = desk.shop;
	let best = first;
	let nodes = 0;
	const choose = (order: readonly (readonly [task: number, worker: number])[]): void => {
		if (nodes++ > MOST_NODES || best.late <= bound) return;
		const bench = new Bench(desk);
		for (const [task, worker] of order) bench.put(task, worker);
		if (bench.late >= best.late && order.length > 0) return;
		if (order.length === tasks.length) {
			const whole = bench.done();
			if (isBetter(whole, best)) best = whole;
			return;
		}
		const done = new Set(order.map(([task]) => task));
		const ready = tasks
			.flatMap((t, i) => (!done.has(i) && t.after.every((a) => done.has(desk.at.get(a.id)!)) ? [i] : []))
			.sort((a, b) => dues[a]! - dues[b]!);
		for (const task of ready) for (let w = 0; w < workers.length; w++) choose([...order, [task, w]]);
	};
	choose([]);
	return { best, whole: nodes <= MOST_NODES };
}
