import type { Colourway } from '../../document/slot.ts';
import type { TaskCount } from '../../labour/task.ts';
import { um } from '../../units/length.ts';
import { ZERO, type Rational } from '../../units/rational.ts';
import type { Need } from './need.ts';

/** What a thing needs and what is done on it, counted as it is. */
interface Counted<S> {
	needs(structure: S, colourway: Colourway | undefined): Need[];
	tasks(structure: S): TaskCount[];
}

/**
 * Counts of what may be fewer or more: as it usually is, with what it is at its least and at its most as the ends.
 * @param ends it at its least and at its most; undefined where it is known
 */
export const withBothEnds = <S>(
	own: Counted<S>,
	ends: (structure: S) => { readonly low: S; readonly high: S } | undefined
): Counted<S> => ({
	needs(structure, colourway) {
		const [usual, at] = [own.needs(structure, colourway), ends(structure)];
		return at ? withEnds(usual, own.needs(at.low, colourway), own.needs(at.high, colourway)) : usual;
	},
	tasks(structure) {
		const [usual, at] = [own.tasks(structure), ends(structure)];
		return at ? tasksWithEnds(usual, own.tasks(at.low), own.tasks(at.high)) : usual;
	}
});

/** Of what is found as a thing usually is, how little and how much it is at its least and at its most. */
function withEnds(usual: readonly Need[], low: readonly Need[], high: readonly Need[]): Need[] {
	const [less, more] = [quantities(low, 'low'), quantities(high, 'high')];
	return usual.map((need): Need => {
		if (need.what === 'count') return need;
		const key = needKey(need);
		if (need.what === 'material' && need.length) {
			const [short, long] = [less.lengths.get(key), more.lengths.get(key)];
			return { ...need, length: { ...need.length, low: um(short ?? 0), high: um(long ?? need.length.um) } };
		}
		const range = {
			low: least(less.counts.get(key) ?? ZERO, need.quantity),
			high: most(more.counts.get(key) ?? ZERO, need.quantity)
		};
		return range.low.equals(range.high) ? need : { ...need, range };
	});
}

const least = (a: Rational, b: Rational): Rational => (a.compare(b) < 0 ? a : b);
const most = (a: Rational, b: Rational): Rational => (a.compare(b) > 0 ? a : b);

/** Everything of a need but how much. */
const needKey = (need: Need): string =>
	JSON.stringify({ ...need, quantity: undefined, range: undefined, length: undefined });

function quantities(needs: readonly Need[], end: 'low' | 'high') {
	const counts = new Map<string, Rational>();
	const lengths = new Map<string, number>();
	for (const need of needs) {
		if (need.what === 'count') continue;
		const key = needKey(need);
		counts.set(key, (counts.get(key) ?? ZERO).add(need.range?.[end] ?? need.quantity));
		if (need.what === 'material' && need.length) lengths.set(key, (lengths.get(key) ?? 0) + need.length.um);
	}
	return { counts, lengths };
}

/** Work on a thing as it usually is, with how much less and more it may be. */
function tasksWithEnds(
	usual: readonly TaskCount[],
	low: readonly TaskCount[],
	high: readonly TaskCount[]
): TaskCount[] {
	const [less, more] = [low, high].map(byTask);
	const now = byTask(usual);
	return usual.map((task) => {
		const key = taskKey(task);
		const all = now.get(key)!;
		const share = all === 0 ? 0 : task.count / all;
		const ends = {
			less: Math.max(0, all - (less!.get(key) ?? 0)) * share,
			more: Math.max(0, (more!.get(key) ?? 0) - all) * share
		};
		return ends.less === 0 && ends.more === 0 ? task : { ...task, ends };
	});
}

const taskKey = ({ task, method, batches }: TaskCount): string => `${task}/${method}/${batches.join('/')}`;

function byTask(tasks: readonly TaskCount[]): Map<string, number> {
	const all = new Map<string, number>();
	for (const task of tasks) all.set(taskKey(task), (all.get(taskKey(task)) ?? 0) + task.count);
	return all;
}
