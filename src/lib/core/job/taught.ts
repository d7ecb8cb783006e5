import jstat from 'jstat';
import { WORK_PHASES, type Pace, type WorkPhase } from '../labour/pace.ts';
import { PRIOR_SPREAD, PRIOR_WEIGHT } from '../labour/standards.ts';
import { rational, rationalText } from '../units/rational.ts';

/** How long a part of the work took on one job. Seconds of everybody. */
export interface PaceSeen {
	readonly job: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
	/** A part of the work, `/`, what it goes by: a kind of structure, or the id of a kind of job. */
	readonly key: string;
	/** What its standards alone say, what was reckoned then, and what was counted. */
	readonly base: number;
	readonly reckoned: number;
	readonly real: number;
	/** How much of that part of the work of the job it was, over 0 to 1: what is little of it tells little. */
	readonly share: number;
}

/** What jobs taught of how long a part of the work takes, as so many times what its standards say. */
export interface Lesson {
	readonly work: WorkPhase;
	readonly of: string;
	/** What is to be expected, and where it lies with nine chances in ten. */
	readonly times: number;
	readonly low: number;
	readonly high: number;
	/** Jobs that told, how much they tell together, and what they took on average. */
	readonly jobs: number;
	readonly weight: number;
	readonly mean: number;
	/** The jobs, the newest first. */
	readonly seen: readonly PaceSeen[];
}

/**
 * What was seen makes of a pace of 1 that weighs as much as {@link PRIOR_WEIGHT} jobs: the posterior of a normal of unknown
 * mean and variance (normal–inverse-gamma, the textbook's closed form), each job as heavy as its share; the mean then
 * follows Student's t with k + n degrees of freedom.
 * @param seen of one part of the work; at least one with a share over 0
 */
export function paceFrom(seen: readonly Pick<PaceSeen, 'base' | 'real' | 'share'>[]): Pick<Lesson, 'times' | 'low' | 'high' | 'weight' | 'mean'> {
	const k = PRIOR_WEIGHT;
	const n = seen.reduce((a, s) => a + s.share, 0);
	const ratio = (s: Pick<PaceSeen, 'base' | 'real'>) => s.real / s.base;
	const mean = seen.reduce((a, s) => a + s.share * ratio(s), 0) / n;
	const times = (k + n * mean) / (k + n);
	const squares = seen.reduce((a, s) => a + s.share * (ratio(s) - mean) ** 2, 0);
	const between = ((k * n) / (k + n)) * (mean - 1) ** 2;
	const variance = (k * PRIOR_SPREAD ** 2 + squares + between) / (k + n);
	const half = jstat.studentt.inv(0.95, k + n) * Math.sqrt(variance / (k + n));
	return { times, low: Math.max(0, times - half), high: times + half, weight: n, mean };
} // prettier-ignore

/** What jobs taught, part of the work by part, in their order. */
export function lessonsOf(all: readonly PaceSeen[]): Lesson[] {
	const byKey = new Map<string, PaceSeen[]>();
	for (const one of all) {
		const own = byKey.get(one.key);
		if (own) own.push(one);
		else byKey.set(one.key, [one]);
	}
	return [...byKey]
		.flatMap(([key, seen]): Lesson[] => {
			const at = key.indexOf('/');
			const work = WORK_PHASES.find((w) => w === key.slice(0, at));
			const told = seen.filter((s) => s.base > 0 && s.real > 0 && s.share > 0);
			if (!work || told.length === 0) return [];
			return [{ work, of: key.slice(at + 1), ...paceFrom(told), jobs: told.length, seen: told.toSorted((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0)) }]; // prettier-ignore
		})
		.toSorted((a, b) => WORK_PHASES.indexOf(a.work) - WORK_PHASES.indexOf(b.work));
}

/** A lesson as it is taken over: to the hundredth. */
export const paceTaken = ({ work, of, times, jobs }: Lesson, day: string): Pace => ({
	work,
	of,
	times: rationalText(rational(Math.max(1, Math.round(times * 100)), 100)),
	jobs,
	day
});

/** So many of the last jobs are told of. House rule. */
const LAST = 3;
/** Less than so many per cent is no news. House rule. */
const NEWS = 5;

/** What the last jobs of a kind took beside what was reckoned for them then, per cent more; null where that is no news. */
export function lastOnes({ seen }: Pick<Lesson, 'seen'>): { readonly jobs: number; readonly percent: number } | null {
	const last = seen.slice(0, LAST);
	const [reckoned, real] = [last.reduce((a, s) => a + s.reckoned, 0), last.reduce((a, s) => a + s.real, 0)];
	if (last.length === 0 || reckoned === 0) return null;
	const percent = Math.round((real / reckoned - 1) * 100);
	return Math.abs(percent) < NEWS ? null : { jobs: last.length, percent };
} // prettier-ignore
