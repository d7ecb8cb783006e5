import type { SitePiece } from '../../labour/site.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import {
	plainTask,
	clusterTasks,
	inflateTask,
	sizingTasks,
	methodOfPlace,
	type Task,
	type TaskCount
} from '../../labour/task.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import type { Place } from '../../document/cluster.ts';
import type { Infill, Run } from './document.ts';
import { sizeKey } from '../../sizing/size.ts';
import { inches, um, type Micrometres } from '../../units/length.ts';
import { rational, type Rational } from '../../units/rational.ts';
import { hangersOf, hungNeeds } from '../kit/hung.ts';
import {
	balloonsIn,
	insideNeeds,
	insideTasks,
	isTreated,
	ownNeed,
	ownTasks,
	twinWords
} from '../kit/filled.ts';
import {
	alikeClusters,
	clustersByRow,
	joiningOf,
	layRun,
	slotOfLaid,
	sparesOf,
	type LaidCluster
} from './lay.ts';
import { estimateUsed, endsOf, IN_CLUSTER } from './organic.ts';
import { withBothEnds } from '../kit/ends.ts';
import { asLong } from './open.ts';
import { elbowsOf, filledLength, lengthOfRun, stretchesOf } from './path.ts';
import { splitCount } from './split-count.ts';
import { runsOf } from '../kit/alike.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import type { CountFacet } from '../facets/count.ts';

const FOOT = 304.8;
/** What one knotted loop at the end of a spine takes. House rule. */
const LOOP = inches(6);

/** Small ones set after hanging: the likely count and its ends, for the whole length. */
export function infillCount(run: Run, { low, high }: Infill): { usual: number; low: number; high: number } {
	const feet = filledLength(run) / FOOT;
	const [least, most] = [low, high].map((v) => Math.round(rational(v).valueOf() * feet));
	return { usual: Math.round((least! + most!) / 2), low: least!, high: most! };
}

/** Length of the spine: the path, its tails and loops, and what is wound round every balloon. */
export function spineLength(run: Run): Micrometres {
	const { tails = 0, loops = 0, round = 0 } = run.spine ?? {};
	const wound = round > 0 ? round * balloonsOnSpine(run) : 0;
	return um(Math.round(lengthOfRun(run) * 1000) + 2 * tails + loops * LOOP + wound);
}

/** Pieces a spine is cut in: another material begins where it is said to; the first has the tails, by half. */
export function spinePieces(run: Run): { readonly material: Id | null; readonly um: Micrometres }[] {
	if (!run.spine) return [];
	const [whole, length] = [spineLength(run), lengthOfRun(run) * 1000];
	// Along a path that is not worked out yet there is no so far along.
	if (length === 0) return [{ material: run.spine.material, um: whole }];
	const cuts = (run.changes ?? []).flatMap((c) => (c.to === 'spine' && c.at < length ? [c] : []));
	const from = [0, ...cuts.map((c) => c.at as number), length];
	const more = whole - Math.round(length);
	const pieces = from.slice(0, -1).map((a, i) => {
		const share = (from[i + 1]! - a) / length;
		return { material: i === 0 ? run.spine!.material : cuts[i - 1]!.material, um: um(Math.round(from[i + 1]! - a + more * share)) }; // prettier-ignore
	});
	return pieces.filter((p) => p.um > 0);
}

/** Balloons the line of a spine may be wound round: those of clusters and of the mix. */
const balloonsOnSpine = (run: Run): number =>
	layRun(run).reduce((a, c) => a + c.cluster.places.length, 0) + (estimateUsed(run).total ?? 0);

const colourOf = (colourway: Colourway | undefined, slot: Id): string | null =>
	colourway?.fills[slot] ?? null;

/** Balloons of the rows: alike ones together, slot by slot; clusters kept aside take the slots of the first of their row. */
function rowNeeds(run: Run, colourway: Colourway | undefined): Need[] {
	const found = new Map<string, { place: Place; slot: Id; count: number }>();
	const needs: Need[] = [];
	const byRow = clustersByRow(run);
	const put = (place: Place, slot: Id, count: number) => {
		const key = `${place.kind}/${place.nominal}/${sizeKey(place.size)}/${place.method ?? ''}/${place.material ?? ''}/${place.twin ?? ''}/${slot}`;
		const sum = found.get(key);
		if (sum) sum.count += count;
		else found.set(key, { place, slot, count });
	};
	for (const { row, cluster, count } of alikeClusters(run)) {
		const { places, pattern } = cluster;
		// What is kept aside is as large as what is largest.
		const spare = cluster === row.cluster ? sparesOf(run, row) : 0;
		const rings = byRow.get(row.id) ?? 0;
		for (const { place, count: alike } of runsOf(cluster))
			if (isTreated(place))
				needs.push(...insideNeeds(place, colourway, balloonsIn(place, alike) * (count + spare)));
		if (pattern.kind === 'same') places.forEach((p) => put(p, p.slot ?? pattern.slot, count));
		else
			for (const own of layRun(run))
				if (own.cluster === cluster) places.forEach((p, i) => put(p, slotOfLaid(own, i, rings), 1));
		if (spare > 0) {
			const first: LaidCluster = { row, cluster, ringOfRow: 0, ring: 0, stretch: 0, at: 0, along: 0 };
			places.forEach((p, i) => put(p, slotOfLaid(first, i, rings), spare));
		}
	}
	for (const { place, slot, count } of found.values())
		if (count > 0)
			needs.push({
				what: 'balloon',
				kind: place.kind,
				nominal: place.nominal,
				slot,
				colour: colourOf(colourway, slot),
				material: place.material,
				size: place.size,
				method: methodOfPlace(place),
				...(place.twin && { look: twinWords(place) }),
				quantity: rational(count, place.twin ? 2 : 1)
			});
	return needs;
}

/** Balloons of the mix: by the estimator it is counted by, then by the parts of each colour. */
function mixNeeds(run: Run, colourway: Colourway | undefined): Need[] {
	const { counts } = estimateUsed(run);
	const ends = endsOf(run);
	return run.mix.flatMap((part, i) => {
		const parts = part.colours.map((c) => c.parts);
		const split = splitCount(counts?.[i] ?? 0, parts);
		const low = splitCount(Math.min(ends?.low[i] ?? 0, counts?.[i] ?? 0), parts);
		const high = splitCount(Math.max(ends?.high[i] ?? 0, counts?.[i] ?? 0), parts);
		return part.colours.flatMap(({ slot }, k): Need[] =>
			split[k] === 0
				? []
				: [
						{
							what: 'balloon',
							kind: part.kind,
							nominal: part.nominal,
							slot,
							colour: colourOf(colourway, slot),
							material: null,
							size: part.size,
							method: methodOfPlace(part),
							quantity: rational(split[k]!),
							...(ends
								? {
										range: {
											low: rational(Math.min(low[k]!, split[k]!)),
											high: rational(Math.max(high[k]!, split[k]!))
										}
									}
								: {})
						}
					]
		);
	});
}

const rangeOf = (low: number, high: number) => ({ low: rational(low), high: rational(high) });

function infillNeeds(run: Run, colourway: Colourway | undefined): Need[] {
	return run.infill.flatMap((infill): Need[] => {
		const { usual, low, high } = infillCount(run, infill);
		if (high === 0) return [];
		return [
			{
				what: 'balloon',
				kind: infill.kind,
				nominal: infill.nominal,
				slot: infill.slot ?? '',
				colour: infill.slot === null ? null : colourOf(colourway, infill.slot),
				material: null,
				size: infill.size,
				method: methodOfPlace(infill),
				quantity: rational(usual * (infill.each ?? 1)),
				...(low === high ? {} : { range: rangeOf(low * (infill.each ?? 1), high * (infill.each ?? 1)) })
			},
			{ what: 'count', of: 'infill balloon', quantity: rational(usual * (infill.each ?? 1)) }
		];
	});
}

/** Ties to the spine, whole ones. */
const tiesOf = (run: Run): Rational =>
	run.spine === null
		? rational(0)
		: rational(Math.round(rational(run.spine.ties).valueOf() * (lengthOfRun(run) / 1000)));

function needsAsLong(run: Run, colourway: Colourway | undefined): Need[] {
	const found = [...rowNeeds(run, colourway), ...mixNeeds(run, colourway), ...infillNeeds(run, colourway)];
	const pairs = cornerPairs(run);
	if (run.corner && pairs > 0) found.push(ownNeed(run.corner, colourway, 2 * pairs));
	if (run.spine) {
		for (const { material, um } of spinePieces(run))
			found.push({ what: 'material', material, label: 'spine', quantity: rational(1), length: { um } });
		const ties = tiesOf(run);
		if (!ties.equals(0)) found.push({ what: 'count', of: 'tie to the spine', quantity: ties });
	}
	found.push(...hungNeeds(run, lengthOfRun(run)));
	const clusters = layRun(run);
	const joined = (how: 'modelling balloon' | 'line') =>
		clusters.filter((c, i) => i > 0 && joiningOf(run, c) === how).length;
	// What is joined by a line along a spine is joined by the spine.
	const [tied, lined] = [joined('modelling balloon'), run.spine === null ? joined('line') : 0];
	if (tied > 0)
		found.push({ what: 'count', of: 'cluster tied with a modelling balloon', quantity: rational(tied) });
	if (lined > 0) found.push({ what: 'count', of: 'layer tied with line', quantity: rational(lined) });
	found.push(
		...partNeed('corner of a run', elbowsOf(run)),
		...partNeed('end of a run', openEnds(run)),
		...partNeed('leg of a run', stretchesOf(run).length),
		...partNeed('cluster', clusters.filter((c) => c.cluster.places.length > 1).length + mixClusters(run))
	);
	return found;
}

/** Its two ends, and one of each arm. */
const openEnds = ({ branches }: Run): number =>
	2 + branches.reduce((a, b) => a + (b.kind === 'cross' ? 2 : 1), 0);

/** Pairs that stand on the inside of elbows. */
export const cornerPairs = (run: Run): number => (run.corner ? elbowsOf(run) : 0);

/** Clusters of an organic run as they are tied before they go on. */
export const mixClusters = (run: Run, total = estimateUsed(run).total): number =>
	Math.ceil((total ?? 0) / IN_CLUSTER[run.organic.seen]);

type Ends = TaskCount['ends'];
const total = (counts: readonly number[]): number => counts.reduce((a, c) => a + c, 0);
/** How far the ends of an estimate lie from what is reckoned with. */
const between = (usual: number, low: number, high: number): Ends =>
	low === high ? undefined : { less: Math.max(0, usual - low), more: Math.max(0, high - usual) };

function tasksAsLong(run: Run): TaskCount[] {
	const found: TaskCount[] = [];
	const push = (task: Task, count: number, ends?: Ends) => {
		if (count > 0) found.push({ ...plainTask(task, count), ends });
	};
	for (const { row, cluster, count: laid } of alikeClusters(run)) {
		const count = laid + (cluster === row.cluster ? sparesOf(run, row) : 0);
		for (const { place, count: alike } of runsOf(cluster)) {
			const all = balloonsIn(place, alike) * count;
			found.push(...sizingTasks(place, all));
			push('tie', all);
			if (isTreated(place)) found.push(...insideTasks(place, all));
		}
		found.push(...clusterTasks(cluster.places.length, count));
	}
	push('attach', layRun(run).length);
	const { counts } = estimateUsed(run);
	const mixEnds = endsOf(run);
	run.mix.forEach((part, i) => {
		const count = counts?.[i] ?? 0;
		if (count === 0) return;
		const ends = mixEnds && between(count, mixEnds.low[i]!, mixEnds.high[i]!);
		found.push(...sizingWithEnds(part, count, ends));
		push('tie', count, ends);
		if (inflateTask(part.nominal) === 'inflate large') push('close gaps', count, ends);
	});
	const tied = mixClusters(run);
	const tiedEnds =
		mixEnds && between(tied, mixClusters(run, total(mixEnds.low)), mixClusters(run, total(mixEnds.high)));
	push('cluster', tied, tiedEnds);
	push('attach', tied, tiedEnds);
	for (const infill of run.infill) {
		const { usual, low, high } = infillCount(run, infill);
		const ends = between(usual, low, high);
		const of = infill.each ?? 1;
		const single = ends && { less: ends.less * of, more: ends.more * of };
		if (usual > 0) found.push(...sizingWithEnds(infill, usual * of, single));
		push('tie', usual * of, single);
		if (of > 1) push('cluster', usual, ends);
		push('infill', usual, ends);
	}
	if (run.corner && cornerPairs(run) > 0) {
		found.push(...ownTasks(run.corner, 2 * cornerPairs(run)));
		found.push(...clusterTasks(2, cornerPairs(run)));
		push('attach', cornerPairs(run));
	}
	if (run.spine) push('thread', 1);
	push('hang', hangersOf(run, lengthOfRun(run)));
	return found;
}

/** Sizing so many, with how many fewer and more it may be; their air goes with them. */
const sizingWithEnds = (place: Parameters<typeof sizingTasks>[0], count: number, ends?: Ends): TaskCount[] =>
	sizingTasks(place, count).map((task) => {
		const each = task.count / count;
		return { ...task, ends: ends && { less: ends.less * each, more: ends.more * each } };
	});

/** A garland goes up along what it hangs on, an arch stands, a runner lies. */
function site(run: Run): SitePiece | null {
	if (run.rows.length === 0 && run.mix.length === 0) return null;
	const mm = lengthOfRun(run);
	if (run.organic.seen === 'table') return { how: 'on a table', mm };
	return run.path.kind === 'arch' && run.hung === null && run.organic.seen !== 'wall'
		? { how: 'stands', mm }
		: { how: 'along', mm };
}

/** Balloons of one run, for the guard against absurd sizes. */
function balloonsOfRun(run: Run): number {
	const byRow = clustersByRow(run);
	const rows = run.rows.reduce(
		(a, row) => a + row.cluster.places.length * ((byRow.get(row.id) ?? 0) + sparesOf(run, row)),
		0
	);
	const infill = run.infill.reduce((a, i) => a + infillCount(run, i).usual * (i.each ?? 1), 0);
	return rows + (estimateUsed(run).total ?? 0) + infill + 2 * cornerPairs(run);
}

/** Garland, arch, table runner, framed pipe. */
export const count: CountFacet<Run> = {
	sold: 'garland',
	soldBy: (run) => lengthOfRun(run),
	balloons: balloonsOfRun,
	...ONE_THING,
	...withBothEnds({ needs: needsAsLong, tasks: tasksAsLong }, (run) =>
		run.open ? { low: asLong(run, run.open.low), high: asLong(run, run.open.high) } : undefined
	),
	site
};

/**
 * The pitch a leg that was built really has: other legs are predicted with it.
 * @param built length of the leg, and the clusters it took @returns in the unit of the length
 */
export const fitPitch = (built: { readonly length: number; readonly clusters: number }): number =>
	built.length / built.clusters;
