import { rational, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import type { Origin } from '../sizing/size.ts';
import {
	TASK_DEFINITIONS,
	TASK_GROUPS,
	TASKS,
	type Method,
	type Task,
	type TaskCount,
	type TaskGroup
} from './task.ts';

/** A build that was timed: so many units in so many seconds. */
export interface Timing {
	/** Calendar day, `YYYY-MM-DD`. */
	readonly day: string;
	readonly count: number;
	readonly seconds: number;
	/** A bad day, left out: it is kept and counts for nothing. */
	readonly out: boolean;
}

/** Seconds a unit and seconds to set up a batch, and where they come from. */
export interface Standard {
	/** Before anything was timed: the starting figure, or what the studio typed. */
	readonly seconds: number;
	readonly batch: number;
	/** Timed by the studio, typed by it, or only the starting figure. */
	readonly origin: Origin;
	/** What was timed, oldest first. */
	readonly timings?: readonly Timing[];
	/** Two are filled at once and tied together: what nobody timed takes less. */
	readonly twoAtOnce?: boolean;
	/** What a way of sizing takes against the hole, where the studio says otherwise. */
	readonly methods?: Readonly<Partial<Record<Method, RationalText>>> | undefined;
}
export type Standards = Readonly<Record<Task, Standard>>;

/** Starting standards, from memory: every studio times its own. */
export const STARTING_STANDARDS: Standards = Object.fromEntries(
	TASKS.map((task): [Task, Standard] => {
		const { seconds, batch } = TASK_DEFINITIONS[task];
		return [task, { seconds, batch, origin: 'estimated' }];
	})
) as Record<Task, Standard>;

/** A figure nobody has timed weighs as much as this many timed builds. House rule. */
export const PRIOR_WEIGHT = 6;
/** How far a build is from its standard, as a share of it, before anything was timed. House rule, from memory. */
export const PRIOR_SPREAD = 0.25;

/** What filling two at once takes of one after the other, each. From memory. */
export const TWO_AT_ONCE = 0.65;
/** Work that can be done two at once. */
export const IN_PAIRS: readonly Task[] = ['inflate small', 'inflate medium', 'tie'];

/** A standard as it is used, and how sure it is. */
export interface Learned {
	readonly seconds: number;
	/** Of one build from it, as a share (a coefficient of variation). */
	readonly spread: number;
	/** Builds that count, and what they took on average; 0 where there are none. */
	readonly timed: number;
	readonly mean: number;
}

/**
 * What timed builds make of a standard: the posterior mean of a normal whose prior weighs as {@link PRIOR_WEIGHT} builds,
 * (k·m + n·x) / (k + n); its spread is pooled the same way (normal–inverse-gamma, the textbook's closed form).
 */
export function learned({
	seconds: typed,
	timings = [],
	twoAtOnce = false
}: Pick<Standard, 'seconds' | 'timings' | 'twoAtOnce'>): Learned {
	// What was timed was done her way already.
	const seconds = twoAtOnce ? typed * TWO_AT_ONCE : typed;
	const counted = timings.filter((t) => !t.out && t.count > 0);
	const n = counted.length;
	if (n === 0) return { seconds, spread: PRIOR_SPREAD, timed: 0, mean: 0 };
	const each = counted.map((t) => t.seconds / t.count);
	const mean = each.reduce((a, b) => a + b, 0) / n;
	const k = PRIOR_WEIGHT;
	const used = (k * seconds + n * mean) / (k + n);
	const squares = each.reduce((a, x) => a + (x - mean) ** 2, 0);
	const prior = k * (PRIOR_SPREAD * seconds) ** 2;
	const between = ((k * n) / (k + n)) * (mean - seconds) ** 2;
	const variance = (prior + squares + between) / (k + n);
	return { seconds: used, spread: used > 0 ? Math.sqrt(variance) / used : PRIOR_SPREAD, timed: n, mean };
}

/** Seconds of a standard as it is used, to the hundredth. */
const usedSeconds = (standard: Standard): Rational =>
	standard.timings?.length || standard.twoAtOnce
		? rational(Math.round(learned(standard).seconds * 100), 100)
		: rational(standard.seconds);

/** What a way of sizing takes against the hole, from memory: strokes are counted, the eye is quick and rough. */
export const METHOD_FACTOR: Readonly<Record<Method, Rational>> = {
	hole: rational(1),
	strokes: rational(9, 10),
	eye: rational(4, 5)
};

/** What a way of sizing takes in a task, against the hole. */
export function factorOf({ methods }: Pick<Standard, 'methods'>, method: Method): Rational {
	const own = methods?.[method];
	return own === undefined ? METHOD_FACTOR[method] : rational(own);
}

export interface TimedTask extends TaskCount {
	readonly group: TaskGroup;
	readonly seconds: Rational;
	/** Seconds it may take less and more where its count is an estimate. */
	readonly less: Rational;
	readonly more: Rational;
}

/** Time = count × standard for the method × difficulty + set-up a batch. Seconds, exact. */
export function timeOf(count: TaskCount, standards: Standards, difficulty: RationalText = '1'): TimedTask {
	const standard = standards[count.task];
	const { batch } = standard;
	const each = usedSeconds(standard)
		.mul(count.method === null ? 1 : factorOf(standard, count.method))
		.mul(rational(difficulty));
	return {
		...count,
		group: TASK_DEFINITIONS[count.task].group,
		seconds: each.mul(count.count).add(batch * count.batches.length),
		less: count.ends ? each.mul(count.ends.less) : ZERO,
		more: count.ends ? each.mul(count.ends.more) : ZERO
	};
}

/**
 * Times all work that is done together: the same task by the same method stands once, wherever it comes from, and each
 * batch of it is set up once.
 */
export function timeAll(
	work: readonly { readonly task: TaskCount; readonly difficulty: RationalText }[],
	standards: Standards
): TimedTask[] {
	// Alike work of the same difficulty is counted first: an exact product once, not once a place it comes from.
	const alike = new Map<string, { task: TaskCount; difficulty: RationalText }>();
	for (const { task, difficulty } of work) {
		const key = `${task.task}/${task.method}/${difficulty}`;
		const before = alike.get(key);
		if (!before) alike.set(key, { task, difficulty });
		else alike.set(key, { task: together(before.task, task), difficulty });
	}
	const merged = new Map<string, TimedTask>();
	for (const { task, difficulty } of alike.values()) {
		const key = `${task.task}/${task.method}`;
		const before = merged.get(key);
		const batches = before ? task.batches.filter((b) => !before.batches.includes(b)) : task.batches;
		const timed = timeOf({ ...task, batches }, standards, difficulty);
		merged.set(
			key,
			before
				? {
						...before,
						count: before.count + timed.count,
						batches: [...before.batches, ...batches],
						seconds: before.seconds.add(timed.seconds),
						less: before.less.add(timed.less),
						more: before.more.add(timed.more)
					}
				: timed
		);
	}
	return [...merged.values()];
}

/** Two counts of the same task as one. */
function together(a: TaskCount, b: TaskCount): TaskCount {
	const ends = (a.ends ?? b.ends) && {
		less: (a.ends?.less ?? 0) + (b.ends?.less ?? 0),
		more: (a.ends?.more ?? 0) + (b.ends?.more ?? 0)
	};
	const batches = b.batches.length === 0 ? a.batches : [...new Set([...a.batches, ...b.batches])];
	return { ...a, count: a.count + b.count, batches, ends };
}

/** Seconds a group of the tape, in its order; groups without work are left out. */
export function secondsByGroup(
	tasks: readonly TimedTask[]
): { group: TaskGroup; seconds: Rational; tasks: TimedTask[] }[] {
	return TASK_GROUPS.map((group) => {
		const own = tasks.filter((t) => t.group === group);
		return { group, tasks: own, seconds: own.reduce((a, t) => a.add(t.seconds), ZERO) };
	}).filter((g) => g.tasks.length > 0);
}

/** `1:55`, hours and minutes, to the nearest minute. */
export function formatHours(seconds: number): string {
	const minutes = Math.round(seconds / 60);
	return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
