import type { TaskCount } from '../../labour/task.ts';
import { um, type Micrometres } from '../../units/length.ts';
import { ZERO, type Rational } from '../../units/rational.ts';
import type { Need } from '../kit/need.ts';
import type { Run } from './document.ts';
import { layRun } from './lay.ts';
import { lengthOfRun } from './path.ts';
import { scalePath } from './scale-path.ts';

/** A run whose path is so long and of the same shape; arms stay. @param length µm */
export function asLong(run: Run, length: Micrometres): Run {
	const arms = run.branches.reduce((a, b) => a + b.length * (b.kind === 'cross' ? 2 : 1), 0);
	const now = Math.round(lengthOfRun(run) * 1000) - arms;
	const factor = now > 0 ? Math.max(0.001, length - arms) / now : 1;
	return {
		...run,
		path: scalePath(run.path, (v) => um(Math.max(1, Math.round(v * factor)))),
		open: undefined
	};
}

/** Of what is found at the usual length, how little and how much it is at the ends of an open one. */
export function withEnds(usual: readonly Need[], low: readonly Need[], high: readonly Need[]): Need[] {
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

/** Work at the usual length with how much less and more it may be. */
export function tasksWithEnds(
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

/** The mean of the ends, to which a length is taken that nobody knows. */
export const usualOf = ({ low, high }: NonNullable<Run['open']>): Micrometres =>
	um(Math.round((low + high) / 2));

/** A run of so many clusters: an open one is then as long as they stand, and its length known. */
export function withClusters(run: Run, clusters: number): Run {
	const laid = layRun(run).length;
	if (!run.open || laid === 0) return { ...run, clusters };
	const length = um(Math.round((lengthOfRun(run) * 1000 * clusters) / laid));
	const built = asLong(run, length);
	return layRun(built).length === clusters ? built : { ...built, clusters };
}
