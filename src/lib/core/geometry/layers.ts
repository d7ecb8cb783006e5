import type { Side } from '../document/side.ts';
import { ownPitch } from './antiprism.ts';
import { fitPlane, tiltDegrees } from './plane.ts';
import { restingHeight } from './resting.ts';
import { unequalRing, type Ball } from './ring.ts';

export interface RingSpec {
	/** mm, in order round the ring, counter-clockwise seen from above */
	readonly diameters: readonly number[];
	readonly side: Side;
	/** Clusters of a higher tier rest on the lower tiers of their own layer too. */
	readonly tier: number;
	/** A place that looks to a side: the ring is turned about its own middle so that it does. */
	readonly facing?: { readonly place: number; readonly side: Exclude<Side, 'all'> } | undefined;
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
		let ceiling = this.#ceilings.at(-1) ?? -Infinity;
		for (const ball of balls) ceiling = Math.max(ceiling, ball.z + (squash * ball.d) / 2);
		this.#ceilings.push(ceiling);
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
		angle = turnedTo(spec, main, layer) ?? angle;
		below.push(layer.rings.length === 1 ? layer.rings[0]! : layer.rings.flat(), squash);
	}
	return placed;
}

/** Where a ring about the axis that looks to a side begins: what stands on it nests in it. */
function turnedTo({ rings }: LayerSpec, main: RingSpec, layer: PlacedLayer): number | undefined {
	const first = layer.rings[rings.indexOf(main)]?.[0];
	if (!main.facing || main.side !== 'all' || main.diameters.length < 2 || !first) return undefined;
	return Math.atan2(first.y, first.x);
}

function placeLayer(
	spec: LayerSpec,
	angle: number,
	squash: number,
	below: Below,
	previous: PlacedLayer | undefined
): PlacedLayer {
	const { rings: specs } = spec;
	if (specs.length === 1) return placeRing(specs[0]!, angle, squash, below, previous);
	const flat = specs.map((ring) => ringInPlan(ring, angle, previous !== undefined));
	let reach = 0;
	specs.forEach((ring, i) => {
		if (ring.side === 'all') reach = Math.max(reach, flat[i]!.radius);
	});
	const shift = reach || radiusBelow(previous);
	const rings: (readonly Ball[])[] = new Array(specs.length);
	const own: Ball[] = [];
	const axis: Ball[] = [];
	let status: LayerStatus = previous ? 'sunk' : 'floor';
	let tier = -Infinity;
	let lowerTiers: readonly Ball[] = [];
	for (const index of byTier(specs)) {
		const ring = specs[index]!;
		if (ring.tier > tier) {
			tier = ring.tier;
			lowerTiers = own.length > 0 ? [...own] : [];
		}
		const plan = flat[index]!.balls;
		const [dx, dy] = DIRECTION[ring.side];
		if (ring.side !== 'all') {
			for (const ball of plan) {
				ball.x += dx * shift;
				ball.y += dy * shift;
			}
		}
		const touches = restRing(plan, below, lowerTiers, squash, previous);
		rings[index] = plan;
		for (const ball of plan) {
			own.push(ball);
			if (ring.side === 'all') axis.push(ball);
		}
		if (touches && status === 'sunk') status = 'resting';
	}
	const main = specs.find((r) => r.side === 'all') ?? specs[0]!;
	return { rings, status, ...measures(axis.length > 0 ? axis : own, own), pitch: pitchOf(main, squash) };
}

/** The plain case, one ring about the axis, without the bookkeeping of several. */
function placeRing(
	ring: RingSpec,
	angle: number,
	squash: number,
	below: Below,
	previous: PlacedLayer | undefined
): PlacedLayer {
	const { balls } = ringInPlan(ring, angle, previous !== undefined);
	const [dx, dy] = DIRECTION[ring.side];
	if (ring.side !== 'all') {
		const shift = radiusBelow(previous);
		for (const ball of balls) {
			ball.x += dx * shift;
			ball.y += dy * shift;
		}
	}
	const touches = restRing(balls, below, NONE, squash, previous);
	const status = !previous ? 'floor' : touches ? 'resting' : 'sunk';
	return { rings: [balls], status, ...measures(balls, balls), pitch: pitchOf(ring, squash) };
}

const NONE: readonly Ball[] = [];

/** @param counted whose centres give height and tilt @param own every ball of the layer */
function measures(counted: readonly Ball[], own: readonly Ball[]): { z: number; top: number; tilt: number } {
	let z = 0;
	let top = -Infinity;
	for (const ball of counted) z += ball.z;
	for (const ball of own) top = Math.max(top, ball.z + ball.d / 2);
	const tilt = counted.length < 2 || isLevel(counted) ? 0 : tiltDegrees(fitPlane(counted));
	return { z: z / counted.length, top, tilt };
}

const pitchOf = ({ diameters }: RingSpec, squash: number): number =>
	ownPitch(diameters.length, mean(diameters), squash);

const mean = (values: readonly number[]): number => values.reduce((a, v) => a + v, 0) / values.length;

const radiusBelow = (previous: PlacedLayer | undefined): number => {
	const ball = previous?.rings[0]?.[0];
	return ball ? Math.hypot(ball.x, ball.y) : 0;
};

/** Order in which rings are placed: lower tiers first, else as given. */
const byTier = (specs: readonly RingSpec[]): number[] => {
	const order = specs.map((_, i) => i);
	return specs.length === 1 ? order : order.sort((a, b) => specs[a]!.tier - specs[b]!.tier);
};

/** Whether centres lie at one height, to a nanometre. */
function isLevel(balls: readonly { readonly z: number }[]): boolean {
	const { z } = balls[0]!;
	for (const ball of balls) if (Math.abs(ball.z - z) >= 1e-6) return false;
	return true;
}

type Loose = { x: number; y: number; z: number; d: number };

/**
 * A ring that looks to a side is turned so that it does. One of unlike balls that stands on another stays in its dents: it
 * takes the one that is nearest to that side, else it would stand on the crests and lean. A pair that is off the axis
 * stands side by side, the left one first.
 */
function ringInPlan(
	{ diameters, facing, side }: RingSpec,
	start: number,
	stands: boolean
): { radius: number; balls: Loose[] } {
	const { radius, angles } = unequalRing(diameters);
	const [dx, dy] = DIRECTION[side];
	const beside =
		side !== 'all' && diameters.length === 2 ? Math.atan2(dy, dx) - Math.PI / 2 - angles[0]! : undefined;
	const toSide =
		facing && Math.atan2(DIRECTION[facing.side][1], DIRECTION[facing.side][0]) - angles[facing.place]!;
	const dent = (2 * Math.PI) / diameters.length;
	const nests = stands && diameters.some((d) => d !== diameters[0]);
	const turn =
		toSide === undefined
			? (beside ?? start)
			: nests
				? start + Math.round((toSide - start) / dent) * dent
				: toSide;
	const balls: Loose[] = [];
	for (let i = 0; i < diameters.length; i++) {
		const angle = turn + angles[i]!;
		balls.push({ x: radius * Math.cos(angle), y: radius * Math.sin(angle), z: 0, d: diameters[i]! });
	}
	return { radius, balls };
}

/** Gives every ball of a ring its height, in place. @returns whether any of them touches something below */
function restRing(
	plan: Loose[],
	below: Below,
	lowerTiers: readonly Ball[],
	squash: number,
	previous: PlacedLayer | undefined
): boolean {
	if (!previous) {
		// On the floor each ball stands by itself, on a lower tier where that lifts it.
		for (const ball of plan) ball.z = Math.max(ball.d / 2, restingHeight(ball, lowerTiers, squash) ?? 0);
		return true;
	}
	const touching: Loose[] = [];
	for (const ball of plan) {
		const beside = lowerTiers.length > 0 ? restingHeight(ball, lowerTiers, squash) : undefined;
		const under = below.rest(ball, squash);
		const z = beside === undefined ? under : under === undefined ? beside : Math.max(beside, under);
		if (z === undefined) continue;
		ball.z = z;
		touching.push(ball);
	}
	if (touching.length === 0) {
		const drop = (squash * Math.max(...plan.map((b) => b.d))) / 2;
		for (const ball of plan) ball.z = (previous?.z ?? 0) + drop;
		return false;
	}
	if (touching.length === plan.length && isLevel(touching)) return true;
	if (touching.length < 3) {
		const z = touching.reduce((a, b) => a + b.z, 0) / touching.length;
		for (const ball of plan) ball.z = z;
		return true;
	}
	const { a, b, c } = fitPlane(touching);
	for (const ball of plan) ball.z = c + a * ball.x + b * ball.y;
	return true;
}
