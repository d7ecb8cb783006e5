import type { Ball } from '../geometry/ring.ts';
import type { Library } from '../recipe/library.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { resolve, type Choice } from '../recipe/resolve.ts';
import type { DesignUse } from '../structures/design/document.ts';
import type { Fixed, LoosePart, Placed, StackPart } from '../structures/facets/picture.ts';
import { NOTHING_PLACED } from '../structures/kit/placed.ts';
import { ORIGIN, pointAt, type Room, type Spot } from '../structures/kit/spot.ts';
import { fixedBy } from '../structures/registry/picture.ts';
import { nestedIn } from '../structures/registry/refs.ts';
import { bounded, standAll, type Shape, type Standing } from './stand-all.ts';
import type { Packed } from '../structures/run/pack-job.ts';

/** Whose part it is. */
interface OfSection {
	/** Section of the design itself; null inside a design that it uses. */
	readonly section: Id | null;
	/** The section of the design itself that it belongs to, at any depth. */
	readonly of: Id;
}
/** A stack with the places of all its copies. */
export interface Piece extends StackPart, OfSection {}
/** Everything else of one section with the places of all its copies. */
export interface AppliedGroup extends LoosePart, OfSection {}

/** Some of a material where it is fixed: in front of a ball, or at a foot, with the places of all copies. */
export interface FixedAt extends Pick<Fixed, 'material' | 'count'> {
	/** Section it is fixed to. */
	readonly of: Id;
	/** The ball that is furthest in front there. */
	readonly front: Ball;
	/** Half of what it is fixed to from side to side, mm. */
	readonly half: number;
	readonly spots: readonly Spot[];
}

export interface Assembly {
	/** Bows, sandbags and the like; only where some are. */
	readonly fixed?: readonly FixedAt[] | undefined;
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

interface Context extends Pick<Standing, 'pumps' | 'packed'> {
	readonly library: Library;
	readonly depth: number;
}

function assembleAt(plain: Recipe, choice: Choice, context: Context): Assembly {
	const { recipe } = resolve(plain, choice, context.pumps);
	const colourway = recipe.colourways.find((c) => c.id === choice.colourway) ?? recipe.colourways[0];
	const nested = (use: DesignUse): Placed => {
		const child = context.depth < DEEPEST ? context.library(use.design) : undefined;
		return child ? shapeOfDesign(child, use, context) : NOTHING_PLACED;
	};
	const { pumps, packed } = context;
	const { shapes, spots } = standAll(recipe, colourway, { pumps, packed, nested });
	const all = <P extends StackPart | LoosePart>(partsOf: (shape: Shape) => readonly P[]) =>
		recipe.sections.flatMap(({ id, structure }): (P & OfSection)[] =>
			partsOf(shapes.get(id)!).map((part) => ({
				...part,
				section: nestedIn(structure) ? null : id,
				of: id,
				spots: spots.get(id)!.flatMap((at) => part.spots.map((inner) => compose(at, inner)))
			}))
		);
	const pieces = all((shape) => shape.stacks);
	const applied = all((shape) => shape.loose);
	const fixed = fixedIn(recipe, shapes, spots);
	return {
		...(fixed.length > 0 ? { fixed } : {}),
		pieces,
		applied,
		lost: recipe.sections.flatMap(({ id }) => shapes.get(id)!.lost ?? []),
		feet: new Map(recipe.sections.map((s) => [s.id, spots.get(s.id)![0] ?? ORIGIN])),
		overall: { usual: highest(pieces, applied), known: pieces.every((p) => p.placed.overall.known) }
	};
}

/** What lines fix to sections, rows and pieces, where those are. */
function fixedIn(
	{ sections }: Recipe,
	shapes: ReadonlyMap<Id, Shape>,
	spots: ReadonlyMap<Id, readonly Spot[]>
): FixedAt[] {
	const first = sections.find(({ id }) => shapes.get(id)!.stacks.length + shapes.get(id)!.loose.length > 0);
	const whole = first ? [first.id] : [];
	return sections.flatMap(({ structure }) =>
		fixedBy(structure).flatMap(({ material, count, on }) =>
			(on.length > 0 ? on : whole).flatMap((id): FixedAt[] => {
				for (const section of sections) {
					const shape = shapes.get(section.id)!;
					const front = section.id === id ? foremost(lowerHalf(shape)) : frontOf(shape, id);
					if (!front) continue;
					const half = shape.half[0];
					return [{ material, count, of: section.id, front, half, spots: spots.get(section.id)! }];
				}
				return [];
			})
		)
	);
}

const lowerHalf = ({ balls, top }: Room): readonly Ball[] => balls.filter((b) => b.z <= top / 2);

/** The ball of a row or piece that is furthest in front. */
const frontOf = ({ host }: Room, id: Id): Ball | undefined =>
	foremost(host.rows.get(id)?.[0] ?? []) ?? host.places.get(id);

const foremost = (balls: readonly Ball[]): Ball | undefined =>
	balls.reduce<Ball | undefined>(
		(best, ball) => (!best || ball.y - ball.d / 2 < best.y - best.d / 2 - 1e-6 ? ball : best),
		undefined
	);

/** Highest point of all, mm over the floor. */
function highest(pieces: readonly Piece[], applied: readonly AppliedGroup[]): number {
	let usual = 0;
	for (const { placed, spots } of pieces)
		for (const { z } of spots) usual = Math.max(usual, z + placed.overall.usual);
	for (const { balls, strands, spots } of applied)
		for (const { z } of spots) {
			for (const { ball } of balls) usual = Math.max(usual, z + ball.z + ball.d / 2);
			for (const { path, d } of strands) for (const p of path) usual = Math.max(usual, z + p.z + d / 2);
		}
	return usual;
}

/** A spot inside a copy, seen from outside. */
const compose = (outer: Spot, inner: Spot): Spot => ({
	...pointAt(outer, inner),
	mirrored: outer.mirrored !== inner.mirrored,
	turn: outer.turn + (outer.mirrored ? -inner.turn : inner.turn)
});

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
	const cached = byChoice.get(key);
	if (cached && cached.pumps === pumps && cached.packed === packed) return cached.shape;
	const inner = assembleAt(child, choice, { ...context, depth: depth + 1 });
	const shape = bounded({ stacks: inner.pieces, loose: inner.applied });
	byChoice.set(key, { pumps, packed, shape });
	return shape;
}
