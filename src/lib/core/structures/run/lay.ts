import { ownPitch } from '../../geometry/antiprism.ts';
import type { Cluster, Joining, Place } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import { slotAt } from '../../document/pattern.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { inches, um } from '../../units/length.ts';
import type { Run, RunRow, Taper } from './document.ts';
import { filledStretches } from './path.ts';

/** A cluster where it stands along a run. */
export interface LaidCluster {
	readonly row: RunRow;
	/** As it is inflated here: that of its row, smaller where the run is thinner. */
	readonly cluster: Cluster;
	/** Of its row, and of the whole run, from 0. */
	readonly ringOfRow: number;
	readonly ring: number;
	/** Which of the filled stretches. */
	readonly stretch: number;
	/** Along its stretch, mm. */
	readonly at: number;
	/** From the beginning of the path; an arm's from where it leaves. mm */
	readonly along: number;
}

/** From cluster to cluster of a row, mm: what it says, else what its size takes nested. */
export function pitchOf(row: RunRow, squash: number): number {
	if (row.pitch !== null) return row.pitch / 1000;
	const { places } = row.cluster;
	const mean = places.reduce((a, p) => a + resolveSize(p.size, p.nominal).assumed, 0) / places.length;
	return ownPitch(places.length, mean, squash);
}

const laid = new WeakMap<Run, readonly LaidCluster[]>();

/**
 * Clusters along a run: its rows follow each other over and over; a stretch takes as many as fit it to the nearest
 * half pitch, and they are spread evenly over it. A leg's own pitch goes before that of the row; a leg, or a whole run,
 * that says how many takes so many.
 */
export function layRun(run: Run): readonly LaidCluster[] {
	const clusters = laid.get(run) ?? tapered(run, lay(run));
	laid.set(run, clusters);
	return clusters;
}

function lay(run: Run): LaidCluster[] {
	const { rows, squash } = run;
	if (rows.length === 0) return [];
	const pitches = rows.map((row) => pitchOf(row, squash));
	const ofRow = rows.map(() => 0);
	const clusters: LaidCluster[] = [];
	let [row, inRow, ring] = [0, 0, 0];
	filledStretches(run).forEach((stretch, index) => {
		const here: LaidCluster[] = [];
		let from = 0;
		for (;;) {
			const pitch = stretch.pitch ?? pitches[row]!;
			// To the nearest whole cluster: length / pitch, rounded, where all are alike.
			if (
				stretch.clusters === null
					? from + pitch / 2 > stretch.length + 1e-6
					: here.length === stretch.clusters
			)
				break;
			here.push({
				row: rows[row]!,
				cluster: rows[row]!.cluster,
				ringOfRow: ofRow[row]!++,
				ring: ring++,
				stretch: index,
				at: from + pitch / 2,
				along: 0
			});
			from += pitch;
			if (++inRow >= rows[row]!.repeat) [row, inRow] = [(row + 1) % rows.length, 0];
		}
		const spread = from > 0 ? stretch.length / from : 1;
		clusters.push(...here.map((c) => ({ ...c, at: c.at * spread, along: stretch.from + c.at * spread })));
	});
	return clusters;
}

/** Clusters get smaller towards the ends of the path, in even steps; arms stay as they are. */
function tapered(run: Run, clusters: LaidCluster[]): LaidCluster[] {
	const { taper } = run;
	if (!taper) return clusters;
	const stretches = filledStretches(run);
	const onPath = clusters.filter((c) => !stretches[c.stretch]!.arm);
	const thin = new Map<LaidCluster, number>();
	onPath.forEach((cluster, i) => {
		const [start, end] = [i, onPath.length - 1 - i];
		const step = Math.min(taper.at === 'end' ? Infinity : start, taper.at === 'start' ? Infinity : end);
		if (step < taper.clusters) thin.set(cluster, step);
	});
	return clusters.map((c) => {
		const step = thin.get(c);
		return step === undefined ? c : { ...c, cluster: thinner(c.row.cluster, taper, step) };
	});
}

const thinned = new WeakMap<Cluster, Map<string, Cluster>>();
const QUARTER = inches(0.25);

/**
 * A cluster so many steps from the end: its largest balloon goes evenly from the size at the end to its own, to the
 * quarter inch, and the others with it. Nothing becomes larger.
 */
function thinner(cluster: Cluster, { clusters, size }: Taper, step: number): Cluster {
	const key = `${clusters}/${size}/${step}`;
	const byKey = thinned.get(cluster) ?? new Map<string, Cluster>();
	thinned.set(cluster, byKey);
	const cached = byKey.get(key);
	if (cached) return cached;
	const sizes = cluster.places.map((p) => resolveSize(p.size, p.nominal).assumed * 1000);
	const largest = Math.max(...sizes);
	const factor = Math.min(1, (size + ((largest - size) * step) / clusters) / largest);
	const small = (place: Place, i: number): Place => ({
		...place,
		size: {
			kind: 'value',
			um: um(Math.max(QUARTER, Math.round((sizes[i]! * factor) / QUARTER) * QUARTER)),
			unit: 'in',
			origin: 'derived'
		}
	});
	const made = factor === 1 ? cluster : { ...cluster, places: cluster.places.map(small) };
	byKey.set(key, made);
	return made;
}

/** Clusters inflated alike, and how many of them: the rows in turn, what is thinner after what is whole. */
export interface AlikeClusters {
	readonly row: RunRow;
	readonly cluster: Cluster;
	readonly count: number;
}

export function alikeClusters(run: Run): readonly AlikeClusters[] {
	const counts = new Map<Cluster, { row: RunRow; cluster: Cluster; count: number }>();
	for (const row of run.rows) counts.set(row.cluster, { row, cluster: row.cluster, count: 0 });
	for (const { row, cluster } of layRun(run)) {
		const own = counts.get(cluster) ?? { row, cluster, count: 0 };
		own.count++;
		counts.set(cluster, own);
	}
	return [...counts.values()];
}

/** Clusters of each row, by its id. */
export function clustersByRow(run: Run): ReadonlyMap<Id, number> {
	const counts = new Map<Id, number>();
	for (const { row } of layRun(run)) counts.set(row.id, (counts.get(row.id) ?? 0) + 1);
	return counts;
}

/** Clusters of a row that are kept aside: those of the run are of its rows in turn. */
export function sparesOf({ rows, spare }: Run, row: RunRow): number {
	const index = rows.indexOf(row);
	return Math.floor(spare / rows.length) + (index < spare % rows.length ? 1 : 0);
}

/** The slot of a place in a laid cluster. */
export function slotOfLaid({ row, ringOfRow, ring }: LaidCluster, place: number, rings: number): Id {
	const { places, pattern } = row.cluster;
	return (
		places[place]!.slot ??
		slotAt(pattern, { place, ringOfRow, ringOfStack: ring, rings, places: places.length })
	);
}

/** How a cluster is joined to the one before it: as its row says, as is said from so far along, as the run says. */
export function joiningOf(run: Run, { row, along }: LaidCluster): Joining {
	const from = run.changes?.flatMap((c) =>
		c.to === 'joining' && c.at / 1000 <= along + 1e-6 ? [c.joining] : []
	);
	return row.joining ?? from?.at(-1) ?? run.joining;
}
