import { ownPitch } from './antiprism.ts';
import { fitPlane, tiltDegrees } from './plane.ts';
import { restingHeight } from './resting.ts';
import { unequalRing, type Ball } from './ring.ts';

/** Which side of the stack a cluster is tucked into; `all` is a ring about the axis. */
export const SIDES = ['all', 'front', 'back', 'left', 'right'] as const;
export type Side = (typeof SIDES)[number];

export interface RingSpec {
	/** mm, in order round the ring, counter-clockwise seen from above */
	readonly diameters: readonly number[];
	readonly side: Side;
	/** Clusters of a higher tier rest on the lower tiers of their own layer too. */
	readonly tier: number;
}

export interface LayerSpec {
	readonly rings: readonly RingSpec[];
	/** How the layer is turned over the one below: by half of its own place, or not. */
	readonly turn: 'half' | 'none';
}

/** `sunk`: it touches nothing below it and drops into the middle of the ring (a house rule). */
export type LayerStatus = 'floor' | 'resting' | 'sunk';

export interface PlacedLayer {
	/** One entry a ring of the spec, in its order; balls in place order. */
	readonly rings: readonly (readonly Ball[])[];
	/** Mean height of the centres of its rings about the axis, mm. */
	readonly z: number;
	/** Highest point of its balls, mm. */
	readonly top: number;
	/** Tilt of the plane through the centres, degrees. */
	readonly tilt: number;
	readonly status: LayerStatus;
	/** What a layer of this kind adds to a stack of its own kind, mm. */
	readonly pitch: number;
}

const DIRECTION: Readonly<Record<Side, readonly [number, number]>> = {
	all: [0, 0],
	front: [0, -1],
	back: [0, 1],
	left: [-1, 0],
	right: [1, 0]
};

/** Balls of all layers so far, with a bound that lets a search from the top stop early. */
class Below {
	readonly layers: (readonly Ball[])[] = [];
	#ceilings: number[] = [];

	push(balls: readonly Ball[], squash: number) {
		const own = balls.reduce((a, b) => Math.max(a, b.z + (squash * b.d) / 2), -Infinity);
		this.#ceilings.push(Math.max(own, this.#ceilings.at(-1) ?? -Infinity));
		this.layers.push(balls);
	}

	rest(ball: { x: number; y: number; d: number }, squash: number): number | undefined {
		let best: number | undefined;
		for (let k = this.layers.length - 1; k >= 0; k--) {
			if (best !== undefined && this.#ceilings[k]! + (squash * ball.d) / 2 <= best) break;
			const z = restingHeight(ball, this.layers[k]!, squash);
			if (z !== undefined && (best === undefined || z > best)) best = z;
		}
		return best;
	}
}

/**
 * Stands layers of unlike clusters on each other from the floor up.
 *
 * Every ball finds its {@link restingHeight}; a ring is tied, so its balls stand on the plane through those
 * heights (the mean where fewer than three touch). Balls that touch nothing do not count; where none does,
 * the ring sinks into the middle: status `sunk`, rise = its own d/2 × squash.
 *
 * @param squash 0 to 1, usually 0.76 to 1
 * @returns one placed layer a spec; never NaN for any diameters above 0
 */
export function placeLayers(specs: readonly LayerSpec[], squash: number): PlacedLayer[] {
	const below = new Below();
	const placed: PlacedLayer[] = [];
	let angle: number | undefined;
	for (const spec of specs) {
		const main = spec.rings.find((r) => r.side === 'all') ?? spec.rings[0]!;
		const places = main.diameters.length;
		if (angle === undefined) angle = -Math.PI / 2 + Math.PI / places;
		else if (spec.turn === 'half') angle += Math.PI / places;
		const layer = placeLayer(spec, angle, squash, below, placed.at(-1));
		placed.push(layer);
		below.push(layer.rings.flat(), squash);
	}
	return placed;
}

function placeLayer(
	spec: LayerSpec,
	angle: number,
	squash: number,
	below: Below,
	previous: PlacedLayer | undefined
): PlacedLayer {
	const flat = spec.rings.map((ring) => ringInPlan(ring, angle));
	const reach = Math.max(0, ...flat.filter((_, i) => spec.rings[i]!.side === 'all').map((r) => r.radius));
	const rings: (readonly Ball[])[] = new Array(flat.length);
	const own: Ball[] = [];
	let status: LayerStatus = previous ? 'sunk' : 'floor';
	const order = spec.rings.map((_, i) => i).sort((a, b) => spec.rings[a]!.tier - spec.rings[b]!.tier);
	let tier = -Infinity;
	let lowerTiers: readonly Ball[] = [];
	for (const index of order) {
		const ring = spec.rings[index]!;
		if (ring.tier > tier) {
			tier = ring.tier;
			lowerTiers = [...own];
		}
		const [dx, dy] = DIRECTION[ring.side];
		const shift = reach || (previous?.rings[0]?.[0] ? Math.hypot(previous.rings[0][0].x, previous.rings[0][0].y) : 0);
		const plan = flat[index]!.balls.map((b) => ({ x: b.x + dx * shift, y: b.y + dy * shift, d: b.d }));
		const rested = restRing(plan, below, lowerTiers, squash, previous);
		rings[index] = rested.balls;
		own.push(...rested.balls);
		if (rested.touches && status === 'sunk') status = 'resting';
	}
	const axis = rings.filter((_, i) => spec.rings[i]!.side === 'all').flat();
	const counted = axis.length > 0 ? axis : own;
	const main = spec.rings.find((r) => r.side === 'all') ?? spec.rings[0]!;
	const meanDiameter = main.diameters.reduce((a, d) => a + d, 0) / main.diameters.length;
	return {
		rings,
		z: counted.reduce((a, b) => a + b.z, 0) / counted.length,
		top: own.reduce((a, b) => Math.max(a, b.z + b.d / 2), -Infinity),
		tilt: counted.length < 2 ? 0 : tiltDegrees(fitPlane(counted)),
		status,
		pitch: ownPitch(main.diameters.length, meanDiameter, squash)
	};
}

function ringInPlan({ diameters }: RingSpec, turn: number) {
	const { radius, angles } = unequalRing(diameters);
	const balls = diameters.map((d, i) => ({
		x: radius * Math.cos(turn + angles[i]!),
		y: radius * Math.sin(turn + angles[i]!),
		d
	}));
	return { radius, balls };
}

function restRing(
	plan: readonly { x: number; y: number; d: number }[],
	below: Below,
	lowerTiers: readonly Ball[],
	squash: number,
	previous: PlacedLayer | undefined
): { balls: Ball[]; touches: boolean } {
	if (!previous && lowerTiers.length === 0) return { balls: plan.map((b) => ({ ...b, z: b.d / 2 })), touches: true };
	const touching: Ball[] = [];
	for (const ball of plan) {
		const beside = restingHeight(ball, lowerTiers, squash);
		const under = below.rest(ball, squash);
		const z = beside === undefined ? under : under === undefined ? beside : Math.max(beside, under);
		if (z !== undefined) touching.push({ ...ball, z });
	}
	if (touching.length === 0) {
		const drop = (squash * Math.max(...plan.map((b) => b.d))) / 2;
		const z = (previous?.z ?? 0) + drop;
		return { balls: plan.map((b) => ({ ...b, z })), touches: false };
	}
	if (touching.length < 3) {
		const z = touching.reduce((a, b) => a + b.z, 0) / touching.length;
		return { balls: plan.map((b) => ({ ...b, z })), touches: true };
	}
	const { a, b, c } = fitPlane(touching);
	return { balls: plan.map((p) => ({ ...p, z: c + a * p.x + b * p.y })), touches: true };
}
