import type { Assembly } from '../assembly/assemble.ts';
import type { Bill } from '../bom/bill.ts';
import type { Id } from '../document/id.ts';
import { convexHull, insideBy, type PlanePoint } from '../geometry/hull.ts';
import { liftPerLitre } from '../gas/atmosphere.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { FILLING_KG } from '../document/inside.ts';
import { USUAL_PLACE, WEIGHS } from '../structures/bunch/lift.ts';
import { pointAt } from '../structures/kit/spot.ts';
import { apart, between, type Point } from '../structures/kit/strand.ts';
import { needsOf } from '../structures/registry/count.ts';
import { baseMaterialsOf, footprintIn, guysIn, massesIn } from '../structures/registry/picture.ts';
import { BALL_DRAG, G, standsWind, type WindVerdict } from './wind.ts';

/** What is on the scales, kg; what gas lifts is below 0. */
export interface WeightPart {
	readonly what: 'balloons' | 'gas' | 'filling' | 'frame' | 'bases and weights';
	readonly kg: number;
	/** Worked out from sizes, where the Stockroom has no figure. */
	readonly estimated: boolean;
}

/** What a piece weighs, and over what. Lengths mm. */
export interface Balance {
	readonly weights: readonly WeightPart[];
	readonly kg: number;
	/** Centre of mass: x to the right, y away from the audience, z up. */
	readonly centre: { readonly x: number; readonly y: number; readonly z: number };
	/** Corners of what touches the ground. */
	readonly footprint: readonly PlanePoint[];
	/** From under the centre of mass to the nearest edge of that; 0 or less: it falls by itself. */
	readonly toEdge: number;
	/** Degrees it can be leaned before it falls. */
	readonly tipsAt: number;
}

/** A piece as it stands. Lengths mm. */
export interface StandingUp extends Balance {
	/** Highest point. */
	readonly top: number;
	/** Silhouette from the side the wind has most of, m², and the height of its middle, m. */
	readonly area: number;
	readonly middle: number;
	/** Lines from its frames to stakes, m. */
	readonly guys: readonly { readonly count: number; readonly at: number; readonly reach: number }[];
}

/** Side of a cell of the silhouette, mm. */
const CELL = 25;
/** Cells of a silhouette, at most about. */
const MOST_CELLS = 1_000_000;

/** Lines and ribbons are no thicker, mm: the wind does not see them. */
const LINE = 5;

interface Disc extends Point {
	readonly r: number;
}

/** Every ball as it stands. */
function ballsOf({ pieces, applied }: Assembly): Disc[] {
	const stacked = pieces.flatMap(({ placed, spots }) =>
		spots.flatMap((at) =>
			placed.layers.flatMap(({ rings }) => rings.flat().map((b) => ({ ...pointAt(at, b), r: b.d / 2 })))
		)
	);
	const loose = applied.flatMap(({ balls, spots }) =>
		spots.flatMap((at) => balls.map(({ ball }) => ({ ...pointAt(at, ball), r: ball.d / 2 })))
	);
	return [...stacked, ...loose];
}

/** Every stretch of what is long. */
const thinOf = ({ applied }: Assembly): Disc[] =>
	applied.flatMap(({ strands, spots }) =>
		spots.flatMap((at) =>
			strands
				.filter((s) => s.d > LINE)
				.flatMap(({ path, d }) => alongPath(path, d).map((p) => ({ ...pointAt(at, p), r: d / 2 })))
		)
	);

/** Points along a path no further apart than a cell. */
function alongPath(path: readonly Point[], d: number): Point[] {
	const step = Math.max(CELL, d / 2);
	return path.slice(1).flatMap((to, i) => {
		const from = path[i]!;
		const n = Math.max(1, Math.ceil(apart(from, to) / step));
		return Array.from({ length: n }, (_, k) => between(from, to, k / n));
	});
}

/** Area of the outline of discs seen along one axis, m², and the height of its middle, m: cells that any of them covers. */
export function silhouette(
	discs: readonly Disc[],
	seen: 'front' | 'side'
): { readonly area: number; readonly middle: number } {
	if (discs.length === 0) return { area: 0, middle: 0 };
	let [minX, maxX, minZ, maxZ] = [Infinity, -Infinity, Infinity, -Infinity];
	for (const { x, y, z, r } of discs) {
		const at = seen === 'front' ? x : y;
		minX = Math.min(minX, at - r);
		maxX = Math.max(maxX, at + r);
		minZ = Math.min(minZ, z - r);
		maxZ = Math.max(maxZ, z + r);
	}
	// Of what is very large the cells are larger.
	const cell = Math.max(CELL, Math.sqrt(((maxX - minX) * (maxZ - minZ)) / MOST_CELLS));
	const [left, low] = [Math.floor(minX / cell) - 1, Math.floor(minZ / cell) - 1];
	const [wide, tall] = [Math.ceil(maxX / cell) - left + 2, Math.ceil(maxZ / cell) - low + 2];
	const covered = new Uint8Array(wide * tall);
	for (const disc of discs) {
		const [x, z] = [seen === 'front' ? disc.x : disc.y, disc.z];
		// What is thinner than a cell still covers the one it is in.
		const r = Math.max(disc.r, cell / 2);
		for (let row = Math.floor((z - r) / cell); row <= (z + r) / cell; row++) {
			const up = Math.abs((row + 0.5) * cell - z);
			if (up > r) continue;
			const half = Math.sqrt(r * r - up * up);
			const [from, to] = [Math.ceil((x - half) / cell - 0.5), Math.floor((x + half) / cell - 0.5)];
			if (from <= to) covered.fill(1, (row - low) * wide + from - left, (row - low) * wide + to - left + 1);
		}
	}
	let [cells, high] = [0, 0];
	for (let at = 0; at < covered.length; at++)
		if (covered[at]) {
			cells++;
			high += Math.floor(at / wide) + low + 0.5;
		}
	return { area: (cells * cell * cell) / 1e6, middle: cells === 0 ? 0 : (high / cells) * (cell / 1000) };
}

export interface StandingInput {
	/** As it is built. */
	readonly built: Recipe;
	readonly assembly: Assembly;
	/** Of so many: `quantity`, one where it is not said. */
	readonly bill: Bill;
	readonly quantity?: number;
	readonly catalogue: Pick<Catalogue, 'materials'>;
	/** Width of a round base that is no frame, mm; null is none. */
	readonly base?: number | null;
	/** More weight on its foot, kg. */
	readonly ballast?: number;
}

/**
 * How a piece stands: what it weighs, where its weight is, what it stands on, what the wind sees of it. Everything of the
 * design itself; of designs inside it the balloons. Indicative only: local codes, the venue and qualified people decide.
 */
export function standingUp(input: StandingInput): StandingUp {
	const balls = ballsOf(input.assembly);
	const discs = [...balls, ...thinOf(input.assembly)];
	const [front, side] = [silhouette(discs, 'front'), silhouette(discs, 'side')];
	const most = front.area * front.middle >= side.area * side.middle ? front : side;
	return {
		...balanced(input, balls),
		top: discs.reduce((a, d) => Math.max(a, d.z + d.r), 0),
		guys: input.built.sections.flatMap(({ structure }) => guysIn(structure)),
		...most
	};
}

/** What a piece weighs and over what it stands, without what the wind sees of it. */
export const balanceOf = (input: StandingInput): Balance => balanced(input, ballsOf(input.assembly));

function balanced(input: StandingInput, balls: readonly Disc[]): Balance {
	const { built, assembly, bill, catalogue, base = null, ballast = 0, quantity = 1 } = input;
	const spotsOf = new Map<Id, readonly Parameters<typeof pointAt>[0][]>(
		assembly.applied.map((a) => [a.of, a.spots] as const)
	);
	const framed = built.sections.flatMap(({ id, structure }) =>
		(spotsOf.get(id) ?? []).flatMap((at) =>
			massesIn(structure, catalogue.materials).map((m) => ({ ...m, ...pointAt(at, m) }))
		)
	);
	const volume = balls.reduce((a, b) => a + b.r * b.r, 0);
	const latex = latexOf(bill) / quantity;
	const held = heldIn(input);
	const low = balls.length === 0 ? 0 : Math.min(...balls.map((b) => b.z));
	const points = [
		...balls.map((b) => ({ ...b, kg: ((latex - held.lift) * b.r * b.r) / Math.max(1, volume) })),
		{ x: 0, y: 0, z: low, kg: held.filling },
		...framed,
		{ x: 0, y: 0, z: 30, kg: held.weights + ballast }
	];
	let [kg, x, y, z] = [0, 0, 0, 0];
	for (const p of points) {
		kg += p.kg;
		x += p.kg * p.x;
		y += p.kg * p.y;
		z += p.kg * p.z;
	}
	const centre = kg <= 0 ? { x: 0, y: 0, z: 0 } : { x: x / kg, y: y / kg, z: z / kg };
	const footprint = convexHull([
		...built.sections.flatMap(({ id, structure }) =>
			(spotsOf.get(id) ?? []).flatMap((at) =>
				footprintIn(structure).map(([x, y]) => {
					const p = pointAt(at, { x, y, z: 0 });
					return [p.x, p.y] as const;
				})
			)
		),
		...(base !== null ? ringOf(base / 2) : (footOf({ built, bill, quantity }, balls) ?? onFloor(balls)))
	]);
	const toEdge = insideBy(footprint, [centre.x, centre.y]);
	const frame = framed.reduce((a, m) => a + m.kg, 0);
	const parts: WeightPart[] = [
		{ what: 'balloons', kg: latex, estimated: true },
		{ what: 'gas', kg: -held.lift, estimated: true },
		{ what: 'filling', kg: held.filling, estimated: true },
		{ what: 'frame', kg: frame, estimated: framed.some((m) => m.estimated) },
		{ what: 'bases and weights', kg: held.weights + ballast, estimated: false }
	];
	return {
		weights: parts.filter((p) => Math.abs(p.kg) > 1e-6),
		kg,
		centre,
		footprint,
		toEdge,
		tipsAt: toEdge <= 0 ? 0 : (Math.atan2(toEdge, Math.max(1, centre.z)) * 180) / Math.PI
	};
}

/** Latex and foil of all balloons, kg. */
function latexOf({ inflate }: Bill): number {
	return inflate.reduce((sum, { kind, nominal, quantity }) => {
		const each = kind.startsWith('foil')
			? WEIGHS.foil(nominal)
			: kind === 'modelling'
				? WEIGHS.modelling
				: WEIGHS.latex(nominal);
		return sum + (quantity.valueOf() * each) / 1000;
	}, 0);
}

/** What gas lifts, what is in balloons, what the bill has of bases and weights besides frames', kg. */
function heldIn({ built: { sections }, bill: { lines }, quantity = 1 }: StandingInput) {
	let [lift, filling] = [0, 0];
	for (const { structure, times } of sections)
		for (const need of needsOf(structure, undefined)) {
			if (need.what !== 'count') continue;
			const litres = need.quantity.valueOf() * times;
			if (need.of === 'litre of helium') lift += (litres * liftPerLitre(USUAL_PLACE.temperature)) / 1000;
			const what = /^litre of (sand|water|marbles)$/.exec(need.of)?.[1];
			if (what) filling += litres * FILLING_KG[what as keyof typeof FILLING_KG];
		}
	const framed = new Set(sections.flatMap(({ structure }) => baseMaterialsOf(structure)));
	const weights = lines.reduce((sum, { material, used, role }) => {
		const counts = material?.kind === 'base' || material?.kind === 'weight';
		if (!material?.grams || !counts || framed.has(material.id) || role === 'by-product') return sum;
		return sum + (used.valueOf() * material.grams) / 1000;
	}, 0);
	return { lift, filling, weights: weights / quantity };
}

type Foot = Pick<StandingInput, 'built' | 'bill' | 'quantity'>;
/** What the one base of a piece covers of the floor by the Stockroom, mm; undefined where there is none, or several, or nobody said it. */
export function knownFoot({ built, bill, quantity = 1 }: Foot): { readonly wide: number; readonly deep: number } | undefined {
	// What a frame stands on says itself how wide it is.
	const framed = new Set(built.sections.flatMap(({ structure }) => baseMaterialsOf(structure)));
	const bases = bill.lines.filter((l) => l.material?.kind === 'base' && !framed.has(l.material.id) && l.role !== 'by-product');
	const { wide, deep = wide } = bases[0]?.material?.facts ?? {};
	if (bases.length !== 1 || wide === undefined || deep === undefined || bases[0]!.used.valueOf() !== quantity) return undefined;
	return { wide: wide / 1000, deep: deep / 1000 };
} // prettier-ignore

/** Its corners, under the middle of the lowest balls. */
function footOf(of: Foot, balls: readonly Disc[]): PlanePoint[] | undefined {
	const foot = knownFoot(of);
	if (!foot) return undefined;
	const low = Math.min(...balls.map((b) => b.z));
	const lowest = balls.filter((b) => b.z < low + 10);
	const middle = (k: 'x' | 'y') => lowest.reduce((a, b) => a + b[k], 0) / Math.max(1, lowest.length);
	const [x, y] = [middle('x'), middle('y')];
	return [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([i, j]) => [x + (i! * foot.wide) / 2, y + (j! * foot.deep) / 2]);
} // prettier-ignore

/** Where balls touch the floor. */
const onFloor = (balls: readonly Disc[]): PlanePoint[] =>
	balls.filter((b) => b.z - b.r < 10).map(({ x, y }) => [x, y]);
const ringOf = (r: number): PlanePoint[] =>
	Array.from({ length: 24 }, (_, i) => [r * Math.cos((i * Math.PI) / 12), r * Math.sin((i * Math.PI) / 12)]);

/** Someone who leans on it: so much, at that height. House rule, from memory: N and m. */
export const LEAN = { force: 100, at: 1.1 } as const;

export interface Steadiness {
	/** Undefined where it stands on nothing that is known, or has nothing the wind sees. */
	readonly wind: WindVerdict | undefined;
	/** kg on its foot in all so that it bears someone leaning, and whether it does. */
	readonly leanNeeds: number;
	readonly bearsLean: boolean;
}

/** What a stake in firm ground holds of a line that pulls at it, N. House rule, from memory: a test pull says more. */
export const STAKE_HOLDS = 250;

/**
 * What guy lines hold from the side where they hold least: stakes on the windward side pull, those to the lee hang loose.
 * The pull down on the frame is left out, which is to the safe side.
 * @returns N m about the foot, and N along the ground
 */
export function heldByGuys(
	guys: StandingUp['guys'],
	stake = STAKE_HOLDS
): { readonly moment: number; readonly pull: number } {
	let [moment, pull] = [0, 0];
	for (const { count, at, reach } of guys) {
		const along = (stake * reach) / Math.hypot(at, reach);
		let least = Infinity;
		for (let step = 0; step < 360; step += 2) {
			const wind = (step * Math.PI) / 180;
			let sum = 0;
			for (let i = 0; i < count; i++) sum += Math.max(0, Math.cos(wind - (2 * Math.PI * i) / count));
			least = Math.min(least, sum);
		}
		const own = along * Math.max(0, least < 1e-9 ? 0 : least);
		moment += own * at;
		pull += own;
	}
	return { moment, pull };
}

/** Where it stands, and what the wind meets. */
export interface Where {
	/** How much more than the wind must hold, 1.5 by default. */
	readonly margin?: number;
	/** Of the ground, degrees. */
	readonly slope?: number;
	/** Stakes can be driven there. */
	readonly staked?: boolean;
	/** Drag of what the wind meets; balls where it is not said. */
	readonly drag?: number;
}

/**
 * Whether it stands a gust, and someone leaning on it.
 * @param gust m/s @param friction of its foot on that ground
 */
export function steadiness(
	piece: StandingUp,
	gust: number,
	friction: number,
	{ margin = 1.5, slope: degrees = 0, staked = false, drag = BALL_DRAG }: Where = {}
): Steadiness {
	const { area, middle, kg, toEdge, top } = piece;
	const [edge, slope, centre] = [toEdge / 1000, (degrees * Math.PI) / 180, piece.centre.z / 1000];
	const guys = staked ? heldByGuys(piece.guys) : { moment: 0, pull: 0 };
	const wind =
		edge > 0 && area > 0 && middle > 0
			? standsWind(
					{ area, middle, weight: kg, toEdge: edge, friction, slope, centre, guys, drag },
					gust,
					margin
				)
			: undefined;
	// Lower than that it is leaned on at its top; on a slope downhill.
	const tall = Math.min(LEAN.at, top / 1000);
	const [foot, leaned] = [edge * Math.cos(slope), centre * Math.sin(slope)];
	const lacks = LEAN.force * tall - guys.moment + kg * G * leaned;
	const leanNeeds = lacks <= 0 ? 0 : edge > 0 ? lacks / (G * foot) : Infinity;
	return { wind, leanNeeds, bearsLean: kg >= leanNeeds };
}
