import type { Packed, PackJob, Placed } from './pack-job.ts';
import type { PictureFacet } from '../facets/picture.ts';
import { hangersAt } from '../kit/hangers.ts';
import { BY_ITSELF, loosely } from '../kit/placed.ts';
import { across, pointOf } from '../../geometry/path.ts';
import { unequalRing } from '../../geometry/ring.ts';
import { seeded } from '../../geometry/random.ts';
import type { Id } from '../../document/id.ts';
import type { MixPart, Run } from './document.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { AppliedBall } from '../kit/seats.ts';
import { innerBall, paintedPart } from '../kit/filled.ts';
import { estimateUsed, packJob } from './organic.ts';
import { packRoughly } from './pack-run.ts';
import { infillCount } from './count.ts';
import { alikeClusters, clustersByRow, layRun, slotOfLaid, type LaidCluster } from './lay.ts';
import { filledStretches, stretchesOf } from './path.ts';
import { splitCount } from './split-count.ts';
import type { Strand } from '../kit/strand.ts';

export interface PlacedRun {
	readonly balls: readonly AppliedBall[];
	readonly strands: readonly Strand[];
}

/** What holds a run is drawn so thick, mm. */
const SPINE = 6;

/** What is packed for the picture: so many as are counted; counted by packing, as packing fills it. */
export function jobOf(run: Run): PackJob | undefined {
	const { counts } = estimateUsed(run);
	const byPacking = run.organic.by === 'packed';
	return packJob(run, byPacking ? null : counts);
}

/** Where everything of a run is: clusters in rings about the path, the mix packed along it, small ones outside. */
export function placeRun(run: Run, pumps: readonly PumpProfile[] = [], packed?: Packed): PlacedRun {
	const balls = [...clusterBalls(run, pumps), ...mixBalls(run, packed), ...cornerBalls(run, pumps)];
	balls.push(...infillBalls(run, balls, pumps));
	const strands = run.spine
		? stretchesOf(run).map((s): Strand => ({
				piece: '',
				path: s.points.filter((_, i) => i % 4 === 0 || i === s.points.length - 1),
				d: SPINE,
				slot: null,
				material: run.spine!.material
			}))
		: [];
	return { balls, strands };
}

const LOOKS = [0, -1] as const;

function clusterBalls(run: Run, pumps: readonly PumpProfile[]): AppliedBall[] {
	const stretches = filledStretches(run);
	const byRow = clustersByRow(run);
	const rings = new Map(
		alikeClusters(run).map(({ cluster }) => {
			const diameters = cluster.places.map((p) => resolveSize(p.size, p.nominal, pumps).assumed);
			return [cluster, { diameters, ...unequalRing(diameters) }];
		})
	);
	const laid = layRun(run);
	const turned = turnedAtTees(run, laid);
	return laid.flatMap((cluster) => {
		const { row, at, stretch, ring } = cluster;
		const { diameters, radius, angles } = rings.get(cluster.cluster)!;
		const { point, way } = pointOf(stretches[stretch]!, at);
		const [away, over] = across(way);
		// Every second one turned by half a place, to nest.
		const half = Math.PI / diameters.length;
		const turn = Math.PI / 4 + (ring % 2 === 0 ? 0 : half) + (turned.has(cluster) ? half : 0);
		return cluster.cluster.places.map((place, i): AppliedBall => {
			const [u, v] = [radius * Math.cos(turn + angles[i]!), radius * Math.sin(turn + angles[i]!)];
			return {
				piece: row.id,
				ball: {
					x: point.x + u * away.x + v * over.x,
					y: point.y + u * away.y + v * over.y,
					z: Math.max(diameters[i]! / 2, point.z + u * away.z + v * over.z),
					d: diameters[i]!
				},
				slot: slotOfLaid(cluster, i, byRow.get(row.id) ?? 1),
				material: place.material,
				kind: place.kind,
				looks: LOOKS,
				inside: innerBall(place, pumps),
				...(paintedPart(place) && { painted: paintedPart(place) }),
				hides: 0
			};
		});
	});
}

/** The clusters that are turned where an arm leaves: the nearest of the path to each. */
function turnedAtTees(run: Run, laid: readonly LaidCluster[]): ReadonlySet<LaidCluster> {
	const tees = run.branches.filter((b) => b.turned);
	if (tees.length === 0) return new Set();
	const stretches = filledStretches(run);
	const onPath = laid.filter((c) => !stretches[c.stretch]!.arm);
	return new Set(
		tees.flatMap(({ at }) => onPath.toSorted((a, b) => Math.abs(a.along - at / 1000) - Math.abs(b.along - at / 1000)).slice(0, 1)) // prettier-ignore
	);
}

/** A pair in the inside of each elbow, one before the other. */
function cornerBalls(run: Run, pumps: readonly PumpProfile[]): AppliedBall[] {
	const { corner, path } = run;
	if (!corner || path.kind !== 'corners') return [];
	const d = resolveSize(corner.size, corner.nominal, pumps).assumed;
	const legs = stretchesOf(run).filter((s) => !s.arm);
	return legs.slice(1).flatMap((leg, i): AppliedBall[] => {
		if (path.legs[i]!.way === path.legs[i + 1]!.way) return [];
		const { way: came } = pointOf(legs[i]!, legs[i]!.length);
		const { point, way: goes } = pointOf(leg, 0);
		const into = { x: goes.x - came.x, z: goes.z - came.z };
		const far = (d * 0.75) / Math.hypot(into.x, into.z);
		return [-1, 1].map((side): AppliedBall => ({
			piece: '',
			ball: { x: point.x + into.x * far, y: (side * d) / 2, z: Math.max(d / 2, point.z + into.z * far), d },
			slot: corner.slot,
			material: corner.material,
			kind: corner.kind,
			looks: LOOKS,
			inside: innerBall(corner, pumps),
			hides: 0
		}));
	});
}

/** Of a run too long to pack so many are drawn, spread over all of it. */
const DRAWN = 1500;
function thinned(run: Run): PackJob | undefined {
	const { counts } = estimateUsed(run);
	return counts ? packJob(run, splitCount(DRAWN, counts)) : undefined;
}

const rough = new WeakMap<Run, Placed>();

/** The packing a run is drawn with: what somebody packed, else a rough one at once. */
function packingOf(run: Run, packed?: Packed): Placed | undefined {
	const whole = jobOf(run);
	const done = whole && packed?.(whole);
	if (done) return done;
	const job = whole ?? thinned(run);
	if (!job) return undefined;
	const cached = rough.get(run);
	if (cached?.key === job.key) return cached;
	const placed = packRoughly(job);
	rough.set(run, placed);
	return placed;
}

function mixBalls(run: Run, packed?: Packed): AppliedBall[] {
	const packing = packingOf(run, packed);
	if (!packing) return [];
	const slots = run.mix.map((part, i) =>
		coloursAlong(part, packing.counts[i] ?? 0, run.organic.seed + i, run.organic.scattered ?? false)
	);
	const next = run.mix.map(() => 0);
	return packing.balls
		.toSorted((a, b) => a.at - b.at)
		.map(({ part, x, y, z, d }): AppliedBall => {
			const { id, kind } = run.mix[part]!;
			return {
				piece: id,
				ball: { x, y, z, d },
				slot: slots[part]![next[part]!++]!,
				material: null,
				kind,
				looks: LOOKS,
				hides: 0
			};
		});
}

/** The colours of a part from the beginning of a run to its end: each as often as it is counted, well mixed. */
function coloursAlong({ colours }: MixPart, count: number, seed: number, scattered: boolean): Id[] {
	const left = splitCount(
		count,
		colours.map((c) => c.parts)
	);
	const whole = [...left];
	const chance = seeded(seed);
	if (scattered) {
		const all = left.flatMap((n, i) =>
			Array.from({ length: n }, () => ({ slot: colours[i]!.slot, by: chance() }))
		);
		return all.sort((a, b) => a.by - b.by).map((c) => c.slot);
	}
	return Array.from({ length: count }, () => {
		// The colour that is furthest behind, give or take a little: no two runs of one colour are alike.
		let [best, most] = [0, -Infinity];
		left.forEach((l, i) => {
			const share = l === 0 ? -Infinity : l / whole[i]! + chance() * 0.25;
			if (share > most) [best, most] = [i, share];
		});
		left[best]!--;
		return colours[best]!.slot;
	});
}

/** Small ones on the outside, towards the audience: where they go is decided at the job, the picture shows how many. */
function infillBalls(run: Run, balls: readonly AppliedBall[], pumps: readonly PumpProfile[]): AppliedBall[] {
	const hosts = balls.filter((b) => b.ball.y <= 0);
	if (hosts.length === 0) return [];
	return run.infill.flatMap((infill, n) => {
		const { usual } = infillCount(run, infill);
		const d = resolveSize(infill.size, infill.nominal, pumps).assumed;
		const chance = seeded(run.organic.seed + 1000 + n);
		const each = infill.each ?? 1;
		// Tied together they stand round the line that leads out of their host.
		const ring = each > 1 ? d / 2 / Math.sin(Math.PI / each) : 0;
		return Array.from({ length: Math.min(usual, Math.round(2000 / each)) }, (_, i): AppliedBall[] => {
			const { ball } = hosts[Math.floor(((i + 0.5) / usual) * hosts.length) % hosts.length]!;
			const [angle, lift] = [(chance() - 0.5) * Math.PI * 0.8, (chance() - 0.5) * 1.2];
			const out = (ball.d + d) / 2;
			const [sin, cos, up, flat] = [Math.sin(angle), Math.cos(angle), Math.sin(lift), Math.cos(lift)];
			return Array.from({ length: each }, (_, k): AppliedBall => {
				const [u, v] = [ring * Math.cos((2 * Math.PI * k) / each), ring * Math.sin((2 * Math.PI * k) / each)];
				return {
					piece: infill.id,
					ball: {
						x: ball.x + out * sin * flat + u * cos - v * sin * up,
						y: ball.y - out * cos * flat + u * sin + v * cos * up,
						z: Math.max(d / 2, ball.z + out * up + v * flat),
						d
					},
					slot: infill.slot,
					material: null,
					kind: infill.kind,
					looks: LOOKS,
					hides: 0
				};
			});
		}).flat();
	});
}

export const picture: PictureFacet<Run> = {
	...BY_ITSELF,
	place(run, context) {
		const path = stretchesOf(run);
		const placed = placeRun(run, context.pumps, context.packed);
		const way = path.filter((s) => !s.arm);
		const holders = hangersAt(run.hung, way, placed.balls);
		return { ...loosely({ ...placed, holders }, context), path };
	}
};
