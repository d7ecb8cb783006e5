import { restingHeight } from '../geometry/resting.ts';
import type { Ball } from '../geometry/ring.ts';
import type { Library } from '../bom/explode.ts';
import type { Colourway, Id, Recipe, Section, Stack } from '../recipe/recipe.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { rational } from '../units/rational.ts';
import { resolve, type Choice } from '../recipe/resolve.ts';
import { placeApplied, type AppliedBall, type HostShape } from './applied.ts';
import { placeStack, type PlacedStack } from './stack.ts';

/**
 * Where one of a section's copies stands, mm from the middle of the design's floor; mirrored left for right, then
 * turned about its own axis, radians counter-clockwise seen from above.
 */
export interface Spot {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly mirrored: boolean;
	readonly turn: number;
}

/** A point of a copy as it stands at a spot. */
export function pointAt({ x, y, z, mirrored, turn }: Spot, p: { x: number; y: number; z: number }) {
	const own = mirrored ? -p.x : p.x;
	if (turn === 0) return { x: x + own, y: y + p.y, z: z + p.z };
	const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
	return { x: x + cos * own - sin * p.y, y: y + sin * own + cos * p.y, z: z + p.z };
}

/** A stack with the places of all its copies. */
export interface Piece {
	/** Section of the design itself; null inside a design that it uses. */
	readonly section: Id | null;
	/** The section of the design itself that it belongs to, at any depth. */
	readonly of: Id;
	readonly stack: Stack;
	readonly placed: PlacedStack;
	readonly colourway: Colourway | undefined;
	readonly spots: readonly Spot[];
}

/** Applied pieces of one section with the places of all its copies. */
export interface AppliedGroup {
	/** Section of the design itself; null inside a design that it uses. */
	readonly section: Id | null;
	readonly of: Id;
	readonly balls: readonly AppliedBall[];
	readonly colourway: Colourway | undefined;
	readonly spots: readonly Spot[];
}

export interface Assembly {
	readonly pieces: readonly Piece[];
	readonly applied: readonly AppliedGroup[];
	/** Applied pieces of the design itself whose host is not there. */
	readonly lost: readonly Id[];
	/** Where each section of the design itself has its foot, first copy. */
	readonly feet: ReadonlyMap<Id, Spot>;
	/** Highest point, mm; not known where a size is not. */
	readonly overall: { readonly usual: number; readonly known: boolean };
}

/** Designs inside designs are drawn this deep; the bill has no such end. */
const DEEPEST = 6;
const NO_PUMPS: readonly PumpProfile[] = [];
const ORIGIN: Spot = { x: 0, y: 0, z: 0, mirrored: false, turn: 0 };
const SIDE: Readonly<Record<string, readonly [number, number]>> = {
	left: [-1, 0],
	right: [1, 0],
	front: [0, -1],
	back: [0, 1]
};

type Part = Omit<Piece, 'section' | 'of'>;
type AppliedPart = Omit<AppliedGroup, 'section' | 'of'>;

/** What one copy of a section is made of, in its own coordinates, and the room it takes. */
interface Shape {
	readonly parts: readonly Part[];
	readonly applied: readonly AppliedPart[];
	readonly balls: readonly Ball[];
	/** Of its stacks, what can carry applied pieces: rows and places by their ids. */
	readonly host: HostShape;
	/** Reach from the axis towards each side, mm. */
	readonly half: readonly [number, number];
	readonly top: number;
}

/**
 * Stands all sections of a design by each other, designs inside it included.
 *
 * A section on top comes to rest on the balls below it (the closest contact decides, as for layers); where it
 * touches none it stands on the highest point. One beside keeps its gap from the other's reach at its own heights.
 * Copies go on outwards; mirrored ones change sides. House rules, all of them: the picture shows them.
 */
export function assemble(
	recipe: Recipe,
	colourway: Id | null,
	library: Library,
	pumps: readonly PumpProfile[] = NO_PUMPS,
	size: Id | null = null
): Assembly {
	return assembleAt(recipe, { colourway, size }, { library, pumps, depth: 0 });
}

interface Context {
	readonly library: Library;
	readonly pumps: readonly PumpProfile[];
	readonly depth: number;
}

function assembleAt(plain: Recipe, choice: Choice, context: Context): Assembly {
	const { recipe } = resolve(plain, choice, context.pumps);
	const chosen = recipe.colourways.find((c) => c.id === choice.colourway) ?? recipe.colourways[0];
	const lost: Id[] = [];
	const shapes = new Map<Id, Shape>();
	const spots = new Map<Id, readonly Spot[]>();
	const stand = (section: Section): readonly Spot[] => {
		const had = spots.get(section.id);
		if (had) return had;
		spots.set(section.id, [ORIGIN]); // A section that stands by itself, which no schema lets through, ends here.
		const { by } = section.stand;
		const host = by === null ? undefined : recipe.sections.find((s) => s.id === by);
		const hostSpots = host && stand(host);
		const hostShape = host && shapes.get(host.id);
		const { structure } = section;
		if (structure.kind === 'applied') {
			const { balls, lost: gone } = placeApplied(structure, hostShape?.host ?? NO_HOST, context.pumps);
			lost.push(...gone);
			shapes.set(section.id, bounded([], [{ balls, colourway: chosen, spots: [ORIGIN] }]));
			const own = hostSpots ?? [ORIGIN];
			spots.set(section.id, own);
			return own;
		}
		const shape = shapeOf(section, chosen, context);
		shapes.set(section.id, shape);
		const own = hostSpots
			? hostSpots.flatMap((at) => standBy(section, shape, at, hostShape))
			: inRow(section, shape, ORIGIN, [1, 0], 0);
		spots.set(section.id, own);
		return own;
	};
	const pieces = recipe.sections.flatMap((section): Piece[] => {
		const own = stand(section);
		const isStack = section.structure.kind === 'stack';
		return shapes.get(section.id)!.parts.map((part) => ({
			...part,
			section: isStack ? section.id : null,
			of: section.id,
			spots: own.flatMap((at) => part.spots.map((inner) => compose(at, inner)))
		}));
	});
	const applied = recipe.sections.flatMap((section): AppliedGroup[] => {
		const own = spots.get(section.id)!;
		return shapes.get(section.id)!.applied.map((group) => ({
			...group,
			section: section.structure.kind === 'applied' ? section.id : null,
			of: section.id,
			spots: own.flatMap((at) => group.spots.map((inner) => compose(at, inner)))
		}));
	});
	let usual = 0;
	for (const { placed, spots: at } of pieces)
		for (const { z } of at) usual = Math.max(usual, z + placed.overall.usual);
	const feet = new Map(recipe.sections.map((s) => [s.id, spots.get(s.id)![0] ?? ORIGIN]));
	for (const { balls, spots: at } of applied)
		for (const { ball } of balls) for (const { z } of at) usual = Math.max(usual, z + ball.z + ball.d / 2);
	return {
		pieces,
		applied,
		lost,
		feet,
		overall: { usual, known: pieces.every((p) => p.placed.overall.known) }
	};
}

/** A spot inside a copy, seen from outside. */
const compose = (outer: Spot, inner: Spot): Spot => ({
	...pointAt(outer, inner),
	mirrored: outer.mirrored !== inner.mirrored,
	turn: outer.turn + (outer.mirrored ? -inner.turn : inner.turn)
});

function shapeOf(section: Section, colourway: Colourway | undefined, context: Context): Shape {
	const { structure } = section;
	if (structure.kind === 'stack' && structure.layers.length > 0) {
		return shapeOfStack(structure, colourway, context.pumps);
	}
	if (structure.kind !== 'design' || context.depth >= DEEPEST) return bounded([]);
	const child = context.library(structure.design);
	if (!child) return bounded([]);
	return shapeOfDesign(child, structure, context);
}

interface KeptStack {
	readonly pumps: readonly PumpProfile[];
	readonly colourway: Colourway | undefined;
	readonly shape: Shape;
}
/** Shapes of stacks: of a design being edited all but one stay what they are. */
const keptStacks = new WeakMap<Stack, KeptStack>();

function shapeOfStack(stack: Stack, colourway: Colourway | undefined, pumps: readonly PumpProfile[]): Shape {
	const had = keptStacks.get(stack);
	if (had && had.pumps === pumps && had.colourway === colourway) return had.shape;
	const placed = placeStack(stack, pumps);
	const shape = bounded([{ stack, placed, colourway, spots: [ORIGIN] }]);
	keptStacks.set(stack, { pumps, colourway, shape });
	return shape;
}

type Shapes = Map<string, { readonly pumps: readonly PumpProfile[]; readonly shape: Shape }>;
/** Shapes of kept designs by what they are made with: those do not change while somebody types. */
const kept = new WeakMap<Library, WeakMap<Recipe, Shapes>>();

function shapeOfDesign(child: Recipe, choice: Choice, context: Context): Shape {
	const { library, pumps, depth } = context;
	const byRecipe = kept.get(library) ?? new WeakMap<Recipe, Shapes>();
	kept.set(library, byRecipe);
	const byChoice = byRecipe.get(child) ?? (new Map() as Shapes);
	byRecipe.set(child, byChoice);
	// How deep it lies says how much of it is still drawn.
	const key = `${choice.colourway ?? ''}/${choice.size ?? ''}/${depth}`;
	const had = byChoice.get(key);
	if (had && had.pumps === pumps) return had.shape;
	const inner = assembleAt(child, choice, { ...context, depth: depth + 1 });
	const shape = bounded(inner.pieces, inner.applied);
	byChoice.set(key, { pumps, shape });
	return shape;
}

/** Room is measured only where something stands by it: most designs are one stack. */
function bounded(parts: readonly Part[], applied: readonly AppliedPart[] = []): Shape {
	let measured: Omit<Shape, 'parts' | 'applied'> | undefined;
	const room = () => (measured ??= measure(parts, applied));
	return {
		parts,
		applied,
		get host() {
			return room().host;
		},
		get balls() {
			return room().balls;
		},
		get half() {
			return room().half;
		},
		get top() {
			return room().top;
		}
	};
}

function measure(parts: readonly Part[], applied: readonly AppliedPart[]): Omit<Shape, 'parts' | 'applied'> {
	const balls: Ball[] = [];
	const rows = new Map<Id, (readonly Ball[])[]>();
	const places = new Map<Id, Ball>();
	let [halfX, halfY, top] = [0, 0, 0];
	const seen = (ball: Ball, spot: Spot): Ball => {
		const at = { ...pointAt(spot, ball), d: ball.d };
		balls.push(at);
		halfX = Math.max(halfX, Math.abs(at.x) + at.d / 2);
		halfY = Math.max(halfY, Math.abs(at.y) + at.d / 2);
		top = Math.max(top, at.z + at.d / 2);
		return at;
	};
	for (const { placed, spots } of parts) {
		for (const spot of spots) {
			placed.layers.forEach(({ rings }, index) => {
				const { layer } = placed.rings[index]!;
				const ring: Ball[] = [];
				rings.forEach((own, c) => {
					own.forEach((ball, p) => {
						const at = seen(ball, spot);
						ring.push(at);
						const { id } = layer.clusters[c]!.places[p]!;
						if (!places.has(id)) places.set(id, at);
					});
				});
				// Pieces sit on the first copy of a row: the others have theirs by their own spots.
				if (spot === spots[0]) rows.set(layer.id, [...(rows.get(layer.id) ?? []), ring]);
			});
		}
	}
	for (const { balls: own, spots } of applied)
		for (const spot of spots) for (const { ball } of own) seen(ball, spot);
	return { balls, host: { rows, places, balls }, half: [halfX, halfY], top };
}

const NO_HOST: HostShape = { rows: new Map(), places: new Map(), balls: [] };

function standBy(section: Section, shape: Shape, at: Spot, host: Shape | undefined): Spot[] {
	const { how, height, layer, gap } = section.stand;
	const below = host ?? bounded([]);
	if (how === 'on top') {
		const foot = { ...at, z: at.z + restOn(shape, below) };
		return inRow(section, shape, foot, [1, 0], 0);
	}
	const side = SIDE[how] ?? SIDE.front!;
	const axis = side[0] === 0 ? 1 : 0;
	const rings = layer === null ? undefined : below.host.rows.get(layer);
	const z = rings ? at.z + middleOf(rings) - lowestMiddle(shape) : height === null ? at.z : height / 1000;
	const out = rings ? reachOf(rings.flat(), axis) : reachBetween(below, axis, z - at.z, z - at.z + shape.top);
	const reach = out + shape.half[axis] + gap / 1000;
	return how === 'round'
		? inRing(section, { ...at, z }, reach)
		: inRow(section, shape, { ...at, z }, side, reach);
}

/** Middle of a row's rings, mm. */
function middleOf(rings: readonly (readonly Ball[])[]): number {
	const balls = rings.flat();
	return balls.reduce((a, b) => a + b.z, 0) / balls.length;
}

/** Height of the lowest ball's middle over the foot: what is fixed at a row is fixed by that one. */
const lowestMiddle = ({ balls }: Shape): number =>
	balls.length === 0 ? 0 : balls.reduce((a, b) => Math.min(a, b.z), Infinity);

const reachOf = (balls: readonly Ball[], axis: 0 | 1): number =>
	balls.reduce((a, { x, y, d }) => Math.max(a, Math.abs(axis === 0 ? x : y) + d / 2), 0);

/** How far a shape reaches from its axis between two heights; all of it where nothing of it lies there. mm */
function reachBetween(shape: Shape, axis: 0 | 1, from: number, to: number): number {
	const level = shape.balls.filter(({ z, d }) => z + d / 2 > from && z - d / 2 < to);
	return level.length > 0 ? reachOf(level, axis) : shape.half[axis];
}

/** Height of the foot over the host's foot at which a shape comes to rest on it, mm. */
function restOn(shape: Shape, host: Shape): number {
	let lift: number | undefined;
	const lowest = shape.balls.filter((b) => b.z - b.d / 2 < b.d / 4);
	for (const ball of lowest) {
		const z = restingHeight(ball, host.balls, 1);
		if (z !== undefined && (lift === undefined || z - ball.z > lift)) lift = z - ball.z;
	}
	return lift ?? host.top;
}

/** The copies of a section evenly round its host, each with its front outwards; the first pair stands open to the front. */
function inRing(section: Section, from: Spot, reach: number): Spot[] {
	const count = section.times * eachOf(section);
	return Array.from({ length: count }, (_, i) => {
		const angle = -Math.PI / 2 + (2 * Math.PI * (i + 0.5)) / count;
		const out = pointAt(from, { x: reach * Math.cos(angle), y: reach * Math.sin(angle), z: 0 });
		const mirrored = from.mirrored !== (section.mirror && i % 2 === 1);
		return { ...out, mirrored, turn: from.turn + angle + Math.PI / 2 };
	});
}

/** Designs inside come in a quantity of their own. */
const eachOf = ({ structure }: Section): number =>
	structure.kind === 'design' ? Math.max(1, Math.round(rational(structure.quantity).valueOf())) : 1;

/** The copies of a section: out to one side in a row; mirrored ones in pairs to both sides. */
function inRow(
	section: Section,
	shape: Shape,
	from: Spot,
	side: readonly [number, number],
	reach: number
): Spot[] {
	const { times, mirror } = section;
	const each = eachOf(section);
	const one = times * each === 1 && !(mirror && reach === 0);
	const width = one ? 0 : 2 * shape.half[side[0] === 0 ? 1 : 0] + section.stand.gap / 1000;
	return Array.from({ length: times * each }, (_, i) => {
		const turned = mirror && i % 2 === 1;
		const step = mirror ? Math.floor(i / 2) : i;
		// In the middle there are no two sides: a mirrored pair stands to the left and right of it.
		const start = mirror && reach === 0 ? width / 2 : reach;
		const out = (turned ? -1 : 1) * (start + step * width);
		return {
			x: from.x + side[0] * out * (from.mirrored ? -1 : 1),
			y: from.y + side[1] * out,
			z: from.z,
			mirrored: from.mirrored !== turned,
			turn: from.turn
		};
	});
}
