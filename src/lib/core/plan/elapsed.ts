import { partsOf } from '../structures/registry/refs.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { PlanStep } from './arrange.ts';

/** Something to be done: so long in hands, then so long a wait, once others are over. Seconds. */
export interface Activity {
	readonly id: string;
	readonly work: number;
	readonly wait: number;
	/** Ids of what has to be over, its wait too. */
	readonly after: readonly string[];
}

export interface Critical {
	/** When all of it is over, seconds from the start, if there were hands for everything at once. */
	readonly finish: number;
	/** By how much each can be late without all of it being late. */
	readonly slack: ReadonlyMap<string, number>;
	/** What has no slack, in its order. */
	readonly path: readonly string[];
}

/** Activities so that each stands after what it waits for. @throws RangeError where they wait for each other */
function inOrder(activities: readonly Activity[]): Activity[] {
	const left = new Map(activities.map((a) => [a.id, a]));
	const done: Activity[] = [];
	while (left.size > 0) {
		const next = [...left.values()].filter((a) => a.after.every((id) => !left.has(id)));
		if (next.length === 0) throw new RangeError('These wait for each other.');
		for (const a of next) left.delete(a.id);
		done.push(...next);
	}
	return done;
}

/** The critical path method (Kelley & Walker 1959): earliest from the start on, latest from the end back. */
export function criticalPath(activities: readonly Activity[]): Critical {
	const order = inOrder(activities);
	const known = new Set(order.map((a) => a.id));
	const ends = new Map<string, number>();
	for (const { id, work, wait, after } of order) {
		const begins = Math.max(0, ...after.filter((a) => known.has(a)).map((a) => ends.get(a)!));
		ends.set(id, begins + work + wait);
	}
	const finish = Math.max(0, ...ends.values());
	const latest = new Map(order.map((a) => [a.id, finish]));
	for (const { id, work, wait, after } of order.toReversed())
		for (const before of after)
			if (known.has(before)) latest.set(before, Math.min(latest.get(before)!, latest.get(id)! - work - wait));
	const slack = new Map(order.map(({ id }) => [id, latest.get(id)! - ends.get(id)!]));
	return { finish, slack, path: order.filter((a) => slack.get(a.id)! < 1e-9).map((a) => a.id) };
}

/**
 * How long a crew takes that works together on one thing after the other: a wait of one is worked through with another.
 * Of what can be begun goes first what has most behind it once its own work is done (Jackson’s rule). Never less than all the work, nor than the critical path.
 * @returns seconds by the clock
 */
export function crewTime(activities: readonly Activity[]): number {
	const order = inOrder(activities);
	const known = new Set(order.map((a) => a.id));
	const behind = new Map<string, number>();
	for (const { id, work, wait } of order.toReversed()) {
		const next = order.filter((a) => a.after.includes(id)).map((a) => behind.get(a.id)!);
		behind.set(id, work + wait + Math.max(0, ...next));
	}
	const over = new Map<string, number>();
	const left = new Set(order);
	let now = 0;
	while (left.size > 0) {
		const ready = [...left].filter((a) => a.after.every((id) => !known.has(id) || over.has(id)));
		const from = (a: Activity) =>
			Math.max(0, ...a.after.filter((id) => known.has(id)).map((id) => over.get(id)!));
		const free = ready.filter((a) => from(a) <= now + 1e-9);
		// Nothing can be begun yet: the crew waits for what can be soonest.
		if (free.length === 0) {
			now = Math.min(...ready.map(from));
			continue;
		}
		const tail = (a: Activity) => behind.get(a.id)! - a.work;
		const next = free.reduce((a, b) => (tail(b) > tail(a) ? b : a));
		left.delete(next);
		now += next.work;
		over.set(next.id, now + next.wait);
	}
	return Math.max(0, ...over.values());
}

/**
 * Steps as activities: at the bench the steps of a section follow each other, what is about no section follows the step
 * before it; where it stands everything follows everything, once the bench is done.
 * @param seconds work of a step by the clock
 */
export function activitiesOf(
	steps: readonly Pick<PlanStep, 'id' | 'place' | 'wait' | 'uses' | 'out'>[],
	{ sections }: Pick<Recipe, 'sections'>,
	seconds: (index: number) => number
): Activity[] {
	const sectionOf = new Map<string, string>();
	for (const { id, name, structure } of sections) {
		sectionOf.set(id, id);
		for (const part of partsOf(structure, name)) sectionOf.set(part.id, id);
	}
	const last = new Map<string, string>();
	const made: Activity[] = [];
	let bench: string[] = [];
	let before: string | undefined;
	steps.forEach((step, i) => {
		if (step.out) return;
		const of = step.uses.map((u) => sectionOf.get(u)).find((s) => s !== undefined);
		const own = of === undefined ? before : last.get(of);
		const after = step.place === 'bench' ? (own === undefined ? [] : [own]) : bench;
		made.push({ id: step.id, work: seconds(i), wait: step.wait, after });
		if (step.place !== 'bench') bench = [step.id];
		else {
			bench = [...bench.filter((id) => id !== own), step.id];
			if (of !== undefined) last.set(of, step.id);
		}
		before = step.id;
	});
	return made;
}
