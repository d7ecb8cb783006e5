import type { Stretch } from '../geometry/path.ts';
import type { Ball } from '../geometry/ring.ts';
import { stretchesOf } from '../structures/run/path.ts';
import type { Library } from '../bom/explode.ts';
import type { Colourway } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import type { Run } from '../structures/run/document.ts';
import type { Stack } from '../structures/stack/document.ts';
import type { Weave } from '../structures/weave/document.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { resolve, type Choice } from '../recipe/resolve.ts';
import { placeApplied, type AppliedBall, type HostShape } from '../structures/applied/count.ts';
import { placeBunch } from '../structures/bunch/place.ts';
import { placeForm } from '../structures/form/place.ts';
import { placeRun, type Packed } from '../structures/run/place.ts';
import { placeWeave } from '../structures/weave/place.ts';
import { isOnHosts } from '../structures/registry.ts';
import { placeStack, type PlacedStack } from '../structures/stack/count.ts';
import { pointAt, type Room, type Spot } from './spot.ts';
import { inRow, standBy } from './stand-by.ts';
import type { Strand } from '../structures/kit/strand.ts';

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

/** Pieces, bunches and forms of one section with the places of all its copies. */
export interface AppliedGroup {
	/** Section of the design itself; null inside a design that it uses. */
	readonly section: Id | null;
	readonly of: Id;
	readonly balls: readonly AppliedBall[];
	/** Bubbles of modelling balloons, ribbons, strokes of letters. */
	readonly strands: readonly Strand[];
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

/** Whether there is nothing to be drawn. */
export const isBare = ({ pieces, applied }: Pick<Assembly, 'pieces' | 'applied'>): boolean =>
	pieces.length + applied.length === 0;

/** Designs inside designs are drawn this deep; the bill has no such end. */
const DEEPEST = 6;
const NO_PUMPS: readonly PumpProfile[] = [];
const ORIGIN: Spot = { x: 0, y: 0, z: 0, mirrored: false, turn: 0 };
type Part = Omit<Piece, 'section' | 'of'>;
type AppliedPart = Omit<AppliedGroup, 'section' | 'of'>;

/** What one copy of a section is made of, in its own coordinates, and the room it takes. */
interface Shape extends Room {
	readonly parts: readonly Part[];
	readonly applied: readonly AppliedPart[];
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
	size: Id | null = null,
	packed?: Packed
): Assembly {
	return assembleAt(recipe, { colourway, size }, { library, pumps, depth: 0, packed });
}

interface Context {
	readonly library: Library;
	readonly pumps: readonly PumpProfile[];
	readonly depth: number;
	/** Packed pictures of organic runs, where somebody made them; else they are drawn roughly. */
	readonly packed: Packed | undefined;
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
			shapes.set(section.id, bounded([], [{ balls, strands: [], colourway: chosen, spots: [ORIGIN] }]));
			const own = hostSpots ?? [ORIGIN];
			spots.set(section.id, own);
			return own;
		}
		if (structure.kind === 'form') {
			const { strands, lost: gone } = placeForm(structure, hostShape?.host ?? NO_HOST);
			lost.push(...gone);
			const placed = bounded([], [{ balls: [], strands, colourway: chosen, spots: [ORIGIN] }]);
			shapes.set(section.id, placed);
			if (isOnHosts(structure)) {
				spots.set(section.id, hostSpots ?? [ORIGIN]);
				return spots.get(section.id)!;
			}
		}
		const shape = shapes.get(section.id) ?? shapeOf(section, chosen, context);
		shapes.set(section.id, shape);
		const own = hostSpots
			? hostSpots.flatMap((at) => standBy(section, shape, at, hostShape ?? bounded([])))
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
			section: section.structure.kind === 'design' ? null : section.id,
			of: section.id,
			spots: own.flatMap((at) => group.spots.map((inner) => compose(at, inner)))
		}));
	});
	let usual = 0;
	for (const { placed, spots: at } of pieces)
		for (const { z } of at) usual = Math.max(usual, z + placed.overall.usual);
	const feet = new Map(recipe.sections.map((s) => [s.id, spots.get(s.id)![0] ?? ORIGIN]));
	for (const { balls, strands, spots: at } of applied)
		for (const { z } of at) {
			for (const { ball } of balls) usual = Math.max(usual, z + ball.z + ball.d / 2);
			for (const { path, d } of strands) for (const p of path) usual = Math.max(usual, z + p.z + d / 2);
		}
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
	if (structure.kind === 'bunch') {
		const { balls, strands } = placeBunch(structure, section.id, context.pumps);
		return bounded([], [{ balls, strands, colourway, spots: [ORIGIN] }]);
	}
	if (structure.kind === 'run' || structure.kind === 'weave')
		return shapeOfLong(structure, colourway, context);
	if (structure.kind !== 'design' || context.depth >= DEEPEST) return bounded([]);
	const child = context.library(structure.design);
	if (!child) return bounded([]);
	return shapeOfDesign(child, structure, context);
}

interface KeptLong extends Pick<Context, 'pumps' | 'packed'> {
	readonly colourway: Colourway | undefined;
	readonly shape: Shape;
}
/** Shapes of runs and weaves, as those of stacks. */
const keptLong = new WeakMap<Run | Weave, KeptLong>();

function shapeOfLong(structure: Run | Weave, colourway: Colourway | undefined, context: Context): Shape {
	const { pumps, packed } = context;
	const had = keptLong.get(structure);
	if (had && had.pumps === pumps && had.packed === packed && had.colourway === colourway) return had.shape;
	const { balls, strands } =
		structure.kind === 'run' ? placeRun(structure, pumps, packed) : placeWeave(structure, pumps);
	const path = structure.kind === 'run' ? stretchesOf(structure) : undefined;
	const shape = bounded([], [{ balls, strands, colourway, spots: [ORIGIN] }], path);
	keptLong.set(structure, { pumps, packed, colourway, shape });
	return shape;
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

type Shapes = Map<string, Pick<Context, 'pumps' | 'packed'> & { readonly shape: Shape }>;
/** Shapes of kept designs by what they are made with: those do not change while somebody types. */
const kept = new WeakMap<Library, WeakMap<Recipe, Shapes>>();

function shapeOfDesign(child: Recipe, choice: Choice, context: Context): Shape {
	const { library, pumps, depth, packed } = context;
	const byRecipe = kept.get(library) ?? new WeakMap<Recipe, Shapes>();
	kept.set(library, byRecipe);
	const byChoice = byRecipe.get(child) ?? (new Map() as Shapes);
	byRecipe.set(child, byChoice);
	// How deep it lies says how much of it is still drawn.
	const key = `${choice.colourway ?? ''}/${choice.size ?? ''}/${depth}`;
	const had = byChoice.get(key);
	if (had && had.pumps === pumps && had.packed === packed) return had.shape;
	const inner = assembleAt(child, choice, { ...context, depth: depth + 1 });
	const shape = bounded(inner.pieces, inner.applied);
	byChoice.set(key, { pumps, packed, shape });
	return shape;
}

/** Room is measured only where something stands by it: most designs are one stack. */
function bounded(
	parts: readonly Part[],
	applied: readonly AppliedPart[] = [],
	path?: readonly Stretch[]
): Shape {
	let measured: Omit<Shape, 'parts' | 'applied'> | undefined;
	const room = () => (measured ??= measure(parts, applied, path));
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

function measure(
	parts: readonly Part[],
	applied: readonly AppliedPart[],
	path?: readonly Stretch[]
): Omit<Shape, 'parts' | 'applied'> {
	const balls: Ball[] = [];
	const rows = new Map<Id, (readonly Ball[])[]>();
	const places = new Map<Id, Ball>();
	const items = new Set<Id>();
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
	for (const { balls: own, strands, spots } of applied)
		for (const spot of spots) {
			for (const { ball, piece } of own) {
				const at = seen(ball, spot);
				// What hangs on a bunch is fixed to an item of it.
				if (!places.has(piece)) places.set(piece, at);
				items.add(piece);
			}
			for (const { path, d } of strands) for (const p of path) seen({ ...p, d }, spot);
		}
	return { balls, host: { rows, places, balls, items, path }, half: [halfX, halfY], top };
}

const NO_HOST: HostShape = { rows: new Map(), places: new Map(), balls: [], items: new Set() };
