import { ONE, rational, type Rational, type RationalText } from '../units/rational.ts';

/** Parts of the work of a job, as minutes are written down by them; each has a pace of its own. */
export const WORK_PHASES = [
	'build',
	'set up',
	'strike',
	'before',
	'on the road',
	'at the place',
	'after'
] as const;
export type WorkPhase = (typeof WORK_PHASES)[number];

/**
 * How long a part of the work takes beside what its standards say, as jobs that were counted taught and the owner took
 * over. Building goes by the kind of structure, all else by the kind of job.
 */
export interface Pace {
	readonly work: WorkPhase;
	/** A kind of structure, or the id of a kind of job. */
	readonly of: string;
	/** So many times what is reckoned, over 0. */
	readonly times: RationalText;
	/** Jobs it rests on, and the day it was taken over, `YYYY-MM-DD`. */
	readonly jobs: number;
	readonly day: string;
}
export type Paces = readonly Pace[];

/** A figure no job taught is what the standards say. */
export function paceOf(paces: Paces | undefined, work: WorkPhase, of: string): Rational {
	const own = paces?.find((p) => p.work === work && p.of === of);
	return own ? rational(own.times) : ONE;
}

/** Seconds of building on a kind of structure: by its standards alone, and with its pace. */
export interface KindSeconds {
	readonly kind: string;
	readonly base: number;
	readonly paced: number;
}
