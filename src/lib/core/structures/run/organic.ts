import { ownPitch } from '../../geometry/antiprism.ts';
import { SQUASH } from '../../geometry/heights.ts';
import type { EstimateBy, MixPart, Run, Seen } from './document.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { rational } from '../../units/rational.ts';
import { firstCount, MOST_PACKED, type PackJob } from './pack-job.ts';
import { filledLength, filledStretches } from './path.ts';
import { splitCount } from './split-count.ts';

const FOOT = 304.8;
/** Balloons in a cluster of an organic run: where a side is not seen, one fewer. House rule. */
export const IN_CLUSTER: Readonly<Record<Seen, number>> = { 'all round': 4, wall: 3, table: 3 };

/** What one estimator says a run takes. */
export interface Estimate {
	readonly by: EstimateBy;
	/** Balloons of each part of the mix; null where the estimator knows nothing yet. */
	readonly counts: readonly number[] | null;
	readonly total: number | null;
	/** Packed for another shape than the run has now: counted by its length. */
	readonly stale: boolean;
}

/**
 * Diameters the parts of a mix are drawn and counted with, mm. Counts do not hang on a pump: sizes said in strokes are
 * reckoned at a usual fill, here as in the picture.
 */
export const sizesOf = (run: Pick<Run, 'mix'>): number[] =>
	run.mix.map((part) => resolveSize(part.size, part.nominal).assumed);

/** Sizes that are said by count have no share of what the others take. */
const sharesOf = (mix: readonly MixPart[]): number[] =>
	mix.map((p) => (p.each === undefined ? rational(p.share).valueOf() : 0));

/** How many of each size are said, so many of each of its colours; undefined where it is for an estimator to say. */
const saidCounts = (mix: readonly MixPart[]): (number | undefined)[] =>
	mix.map(({ each, colours }) => each && each * colours.length);

/** Counts of an estimator, those that were said in their places. */
const asSaid = (mix: readonly MixPart[], counts: readonly number[]): number[] =>
	saidCounts(mix).map((said, i) => said ?? counts[i]!);

/** What an estimator says beside what is said: its whole is kept where the sizes it splits have room in it. */
function withSaid(mix: readonly MixPart[], all: number): number[] {
	const fixed = saidCounts(mix).reduce<number>((a, c) => a + (c ?? 0), 0);
	return asSaid(mix, splitCount(Math.max(0, all - fixed), sharesOf(mix)));
}

/** Clusters a foot that the sizes of the mix take at the default squash: what the estimator by clusters starts from. */
function usualClusters(run: Pick<Run, 'mix' | 'organic'>): number {
	const sizes = sizesOf(run);
	const shares = sharesOf(run.mix);
	const all = shares.reduce((a, s) => a + s, 0);
	if (!(all > 0)) return 0;
	const mean = sizes.reduce((a, d, i) => a + (d * shares[i]!) / all, 0);
	return FOOT / ownPitch(4, mean, SQUASH.usual);
}

/**
 * The three estimators side by side. Clusters a foot: so many clusters, split by the shares. By the foot: what a finished
 * piece took, by the length of this one. Packed: what packing came to.
 */
export function estimatesOf(run: Run): readonly Estimate[] {
	const { mix, organic } = run;
	const feet = filledLength(run) / FOOT;
	const fullness = rational(organic.fullness).valueOf();
	const estimate = (by: EstimateBy, counts: readonly number[] | null, stale = false): Estimate => ({
		by,
		counts,
		total: counts === null ? null : counts.reduce((a, c) => a + c, 0),
		stale
	});
	const aFoot = organic.clusters === null ? usualClusters(run) : rational(organic.clusters).valueOf();
	const clusters = Math.round(aFoot * feet * fullness) * IN_CLUSTER[organic.seen];
	const { taught, packed } = organic;
	return [
		estimate('clusters', mix.length === 0 ? [] : withSaid(mix, clusters)),
		estimate('by the foot', taught && byTheFoot(mix, taught, feet)),
		estimate(
			'packed',
			packed && packed.counts.length === mix.length
				? asSaid(mix, scaled(packed.counts, filledLength(run) / (packed.length / 1000)))
				: null,
			packed !== null && packed.key !== packKey(run)
		)
	];
}

/** What a finished piece took of each size, by the length of this one; parts of one size share it as they stand. */
function byTheFoot(
	mix: readonly MixPart[],
	{ length, counts }: NonNullable<Run['organic']['taught']>,
	feet: number
): number[] {
	const longer = (feet * FOOT * 1000) / length;
	const found = mix.map(() => 0);
	for (const { nominal, count } of counts) {
		const own = sharesOf(mix).map((share, i) => (mix[i]!.nominal === nominal ? share : 0));
		splitCount(Math.round(count * longer), own).forEach((c, i) => (found[i]! += c));
	}
	return asSaid(mix, found);
}

const scaled = (counts: readonly number[], by: number): number[] =>
	Math.abs(by - 1) < 1e-6 ? [...counts] : counts.map((c) => Math.round(c * by));

/** The estimate a run is counted by; where its estimator knows nothing yet, the estimator by clusters stands in. */
export function estimateUsed(run: Run): Estimate {
	const all = estimatesOf(run);
	const wanted = all.find((e) => e.by === run.organic.by)!;
	return wanted.counts === null ? all[0]! : wanted;
}

/** Schools that lie further apart than this make the count a range. House rule. */
const FAR = 0.2;

/**
 * The ends of a count where the estimators lie far apart: the least and the most of them, part by part of the mix. None
 * where they agree, where one speaks alone, and where a finished piece of this length was counted: that is no estimate.
 */
export function endsOf(
	run: Run
): { readonly low: readonly number[]; readonly high: readonly number[] } | undefined {
	const all = estimatesOf(run).filter((e) => e.counts !== null && e.total);
	const { taught } = run.organic;
	const measured = taught !== null && Math.abs(taught.length / 1000 - filledLength(run)) < 1;
	const apart = apartBy(all);
	if (apart === undefined || apart <= FAR || (measured && run.organic.by === 'by the foot')) return undefined;
	const totals = all.map((e) => e.total!);
	return {
		low: all[totals.indexOf(Math.min(...totals))]!.counts!,
		high: all[totals.indexOf(Math.max(...totals))]!.counts!
	};
}

/** How far the estimators lie apart: the largest of them over the smallest, less 1. Undefined where one speaks alone. */
export function apartBy(estimates: readonly Estimate[]): number | undefined {
	const totals = estimates.flatMap((e) => (e.total ? [e.total] : []));
	return totals.length < 2 ? undefined : Math.max(...totals) / Math.min(...totals) - 1;
}

/** Which part is most by count, and which by size: the air it takes. Index in the mix. */
export function dominant(
	sizes: readonly number[],
	counts: readonly number[]
): { readonly byCount: number; readonly bySize: number } {
	const most = (values: readonly number[]) => values.indexOf(Math.max(...values));
	return { byCount: most(counts), bySize: most(sizes.map((d, i) => d ** 3 * counts[i]!)) };
}

/** Goes up when packing would come to another count: what was packed before is packed again. */
const PACKED_AS = 2;

/** Everything a packing hangs on, in few letters: FNV-1a, 64 bits in two halves (from memory). */
export function packKey(run: Run): string {
	const { organic, path, height, branches } = run;
	const more =
		run.free || run.mix.some((p) => p.each)
			? [run.free?.map((f) => [f.at, f.length]), saidCounts(run.mix)]
			: [];
	const said = JSON.stringify([
		PACKED_AS,
		path,
		height,
		branches.map(({ kind, at, way, length }) => [kind, at, way, length]),
		sizesOf(run),
		sharesOf(run.mix),
		organic.seen,
		organic.fullness,
		organic.thicker,
		organic.seed,
		...more
	]);
	let [a, b] = [0x811c9dc5, 0x01000193];
	for (let i = 0; i < said.length; i++) {
		const c = said.charCodeAt(i);
		a = Math.imul(a ^ c, 0x01000193);
		b = Math.imul(b ^ (c + i), 0x85ebca6b);
	}
	return [a, b].map((v) => (v >>> 0).toString(16).padStart(8, '0')).join('');
}

/**
 * What is to be packed of a run; undefined where there is nothing to pack or too much to draw.
 * @param counts so many of each part and no more; null fills the gaps
 */
export function packJob(run: Run, counts: readonly number[] | null): PackJob | undefined {
	const stretches = filledStretches(run);
	if (run.mix.length === 0 || stretches.length === 0) return undefined;
	const { seen, fullness, thicker, seed } = run.organic;
	const job = {
		stretches,
		sizes: sizesOf(run),
		// As they stand to each other: what is said by count stands as it was said.
		shares: run.mix.some((p) => p.each) ? estimatesOf(run)[0]!.counts! : sharesOf(run.mix),
		seen,
		fullness: rational(fullness).valueOf(),
		thicker,
		seed,
		counts
	};
	if (firstCount(job) > MOST_PACKED) return undefined;
	return { ...job, key: `${packKey(run)}${counts ? `:${counts.join('.')}` : ''}` };
}
