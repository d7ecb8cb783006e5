import type { Stretch } from '../../geometry/path.ts';
import type { Seen, Thicker } from './document.ts';

/** What is to be packed, as plain data: it goes to a worker as it is. */
export interface PackJob {
	/** Of everything that follows: the same key, the same picture. */
	readonly key: string;
	readonly stretches: readonly Stretch[];
	/** Inflated diameter of each part of the mix, mm, and its share; shares are taken as they stand to each other. */
	readonly sizes: readonly number[];
	readonly shares: readonly number[];
	readonly seen: Seen;
	readonly fullness: number;
	readonly thicker: Thicker;
	readonly seed: number;
	/** So many of each part and no more; null fills gaps until none is over the limit. */
	readonly counts: readonly number[] | null;
}

export interface PackedBall {
	readonly part: number;
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly d: number;
	/** Along the path, mm. */
	readonly at: number;
}

export interface Placed {
	readonly key: string;
	readonly balls: readonly PackedBall[];
	/** Balls of each part. */
	readonly counts: readonly number[];
}

export interface Packing extends Placed {
	/** The widest gap one could look through to the spine, and the limit there is for it, mm. */
	readonly gap: number;
	readonly limit: number;
	/** How far two balls are into each other, as a share of their touching distance. */
	readonly overlap: number;
}

/** Most balls packed: longer runs are counted by the other estimators. */
export const MOST_PACKED = 4000;
/**
 * Balls that a length of their own mean diameter takes all round, for a first picture and to begin packing with: what
 * packing usual mixes comes to lies between 3 and 5. House rule.
 */
const ROUND = 5;
/** Share of that where a wall or a table takes a side. House rule. */
const SHOWN: Readonly<Record<Seen, number>> = { 'all round': 1, wall: 0.55, table: 0.55 };
/**
 * A gap is too wide where a quarter of the smallest balloon fits into it: an inch, with fives. House rule, so chosen that
 * packing lies near the estimator by clusters; a finished piece, several balls thick, takes more than either.
 */
const GAP = 0.25;

/** Smallest gap limit of a job, mm. */
export const gapLimit = ({ sizes, fullness }: Pick<PackJob, 'sizes' | 'fullness'>): number =>
	(GAP * Math.min(...sizes)) / fullness;
export const lengthOf = (stretches: readonly Stretch[]): number =>
	stretches.reduce((a, s) => a + s.length, 0);

/** How many balls a job begins with. */
export function firstCount({
	stretches,
	sizes,
	shares,
	seen,
	fullness,
	counts
}: Omit<PackJob, 'key'>): number {
	if (counts) return counts.reduce((a, c) => a + c, 0);
	const all = shares.reduce((a, s) => a + s, 0);
	const mean = sizes.reduce((a, d, i) => a + (d * shares[i]!) / all, 0);
	return Math.max(1, Math.round((fullness * SHOWN[seen] * ROUND * lengthOf(stretches)) / mean));
}

/** Packs a job where somebody has the time: a worker's result, or all of it at once; undefined is a rough picture. */
export type Packed = (job: PackJob) => Packing | undefined;
