import { restingHeight } from '../geometry/resting.ts';
import type { Ball } from '../geometry/ring.ts';
import type { Library } from '../bom/explode.ts';
import type { Colourway, Id, Recipe, Section, Stack } from '../recipe/recipe.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { rational } from '../units/rational.ts';
import { placeStack, type PlacedStack } from './stack.ts';

/** Where one of a section's copies stands, mm from the middle of the design's floor; mirrored left for right. */
export interface Spot {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly mirrored: boolean;
}

/** A stack with the places of all its copies. */
export interface Piece {
	/** Section of the design itself; null inside a design that it uses. */
	readonly section: Id | null;
	readonly stack: Stack;
	readonly placed: PlacedStack;
	readonly colourway: Colourway | undefined;
	readonly spots: readonly Spot[];
}

export interface Assembly {
	readonly pieces: readonly Piece[];
	/** Where each section of the design itself has its foot, first copy. */
	readonly feet: ReadonlyMap<Id, Spot>;
	/** Highest point, mm; not known where a size is not. */
	readonly overall: { readonly usual: number; readonly known: boolean };
}

/** Designs inside designs are drawn this deep; the bill has no such end. */
const DEEPEST = 6;
const ORIGIN: Spot = { x: 0, y: 0, z: 0, mirrored: false };
const SIDE: Readonly<Record<string, readonly [number, number]>> = {
	left: [-1, 0],
	right: [1, 0],
	front: [0, -1],
	back: [0, 1]
};

/** What one copy of a section is made of, in its own coordinates, and the room it takes. */
interface Shape {
	readonly parts: readonly Omit<Piece, 'section'>[];
	readonly balls: readonly Ball[];
	/** Reach from the axis towards each side, mm. */
	readonly half: readonly [number, number];
	readonly top: number;
}

/**
 * Stands all sections of a design by each other, designs inside it included.
 *
 * A section on top comes to rest on the balls below it (the closest contact decides, as for layers); where it
 * touches none it stands on the highest point. One beside keeps its gap from the other's widest reach on that side.
 * Copies go on outwards; mirrored ones change sides. House rules, all of them: the picture shows them.
 */
export function assemble(
	recipe: Recipe,
	colourway: Id | null,
	library: Library,
	pumps: readonly PumpProfile[] = []
): Assembly {
	return assembleAt(recipe, colourway, { library, pumps, depth: 0 });
}

interface Context {
	readonly library: Library;
	readonly pumps: readonly PumpProfile[];
	readonly depth: number;
}

function assembleAt(recipe: Recipe, colourway: Id | null, context: Context): Assembly {
	const chosen = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	const shapes = new Map<Id, Shape>();
	const spots = new Map<Id, readonly Spot[]>();
	const stand = (section: Section): readonly Spot[] => {
		const had = spots.get(section.id);
		if (had) return had;
		spots.set(section.id, [ORIGIN]); // A section that stands by itself, which no schema lets through, ends here.
		const shape = shapeOf(section, chosen, context);
		shapes.set(section.id, shape);
		const { by } = section.stand;
		const host = by === null ? undefined : recipe.sections.find((s) => s.id === by);
		const own = host
			? stand(host).flatMap((at) => standBy(section, shape, at, shapes.get(host.id)))
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
			spots: own.flatMap((at) => part.spots.map((inner) => compose(at, inner)))
		}));
	});
	let usual = 0;
	for (const { placed, spots: at } of pieces)
		for (const { z } of at) usual = Math.max(usual, z + placed.overall.usual);
	const feet = new Map(recipe.sections.map((s) => [s.id, spots.get(s.id)![0] ?? ORIGIN]));
	return { pieces, feet, overall: { usual, known: pieces.every((p) => p.placed.overall.known) } };
}

/** A spot inside a copy, seen from outside. */
const compose = (outer: Spot, inner: Spot): Spot => ({
	x: outer.x + (outer.mirrored ? -inner.x : inner.x),
	y: outer.y + inner.y,
	z: outer.z + inner.z,
	mirrored: outer.mirrored !== inner.mirrored
});

function shapeOf(section: Section, colourway: Colourway | undefined, context: Context): Shape {
	const { structure } = section;
	if (structure.kind === 'stack' && structure.layers.length > 0) {
		const placed = placeStack(structure, context.pumps);
		return bounded([{ stack: structure, placed, colourway, spots: [ORIGIN] }]);
	}
	if (structure.kind !== 'design' || context.depth >= DEEPEST) return bounded([]);
	const child = context.library(structure.design);
	if (!child) return bounded([]);
	const inner = assembleAt(child, structure.colourway, { ...context, depth: context.depth + 1 });
	return bounded(inner.pieces);
}

/** Room is measured only where something stands by it: most designs are one stack. */
function bounded(parts: readonly Omit<Piece, 'section'>[]): Shape {
	let measured: Omit<Shape, 'parts'> | undefined;
	const room = () => (measured ??= measure(parts));
	return {
		parts,
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

function measure(parts: readonly Omit<Piece, 'section'>[]): Omit<Shape, 'parts'> {
	const balls: Ball[] = [];
	let [halfX, halfY, top] = [0, 0, 0];
	for (const { placed, spots } of parts) {
		for (const spot of spots) {
			for (const ball of placed.layers.flatMap((l) => l.rings.flat())) {
				const x = spot.x + (spot.mirrored ? -ball.x : ball.x);
				const [y, z] = [spot.y + ball.y, spot.z + ball.z];
				balls.push({ x, y, z, d: ball.d });
				halfX = Math.max(halfX, Math.abs(x) + ball.d / 2);
				halfY = Math.max(halfY, Math.abs(y) + ball.d / 2);
				top = Math.max(top, z + ball.d / 2);
			}
		}
	}
	return { balls, half: [halfX, halfY], top };
}

function standBy(section: Section, shape: Shape, at: Spot, host: Shape | undefined): Spot[] {
	const { how, height, gap } = section.stand;
	const below = host ?? bounded([]);
	if (how === 'on top') {
		const foot = { ...at, z: at.z + restOn(shape, below) };
		return inRow(section, shape, foot, [1, 0], 0);
	}
	const side = SIDE[how]!;
	const axis = side[0] === 0 ? 1 : 0;
	const reach = below.half[axis] + shape.half[axis] + gap / 1000;
	const foot = { ...at, z: height === null ? at.z : height / 1000 };
	return inRow(section, shape, foot, side, reach);
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

/** The copies of a section: out to one side in a row; mirrored ones in pairs to both sides. */
function inRow(
	section: Section,
	shape: Shape,
	from: Spot,
	side: readonly [number, number],
	reach: number
): Spot[] {
	const { structure, times, mirror } = section;
	const each =
		structure.kind === 'design' ? Math.max(1, Math.round(rational(structure.quantity).valueOf())) : 1;
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
			mirrored: from.mirrored !== turned
		};
	});
}
