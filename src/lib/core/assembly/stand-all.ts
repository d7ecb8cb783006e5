import type { Id } from '../document/id.ts';
import type { Colourway } from '../document/slot.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { reachedFrom, sittingBeside } from '../recipe/sitting-beside.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { DesignUse } from '../structures/design/document.ts';
import type { Placed } from '../structures/facets/picture.ts';
import type { Structure } from '../structures/kinds.ts';
import { carryingToo, hostSeenFrom, measure, NO_HOST, reachingTo } from '../structures/kit/measure.ts';
import { NOTHING_PLACED } from '../structures/kit/placed.ts';
import type { HostShape } from '../structures/kit/seats.ts';
import { ORIGIN, type Room, type Spot } from '../structures/kit/spot.ts';
import { isOnHosts, place, standsAlone } from '../structures/registry/picture.ts';
import type { Packed } from '../structures/run/pack-job.ts';
import { inRow, standBy } from './stand-by.ts';

/** What one copy of a section is made of, in its own coordinates, and the room it takes. */
export interface Shape extends Room, Placed {}

/** What sections are stood with. */
export interface Standing {
	readonly pumps: readonly PumpProfile[];
	/** Packed pictures of organic runs, where somebody made them; else they are drawn roughly. */
	readonly packed: Packed | undefined;
	/** What a design inside is made of. */
	readonly nested: (use: DesignUse) => Placed;
}

export interface Stood {
	readonly shapes: ReadonlyMap<Id, Shape>;
	/** Where the copies of every section stand, by their foot. */
	readonly spots: ReadonlyMap<Id, readonly Spot[]>;
}

/** Every section with what it is made of and where its copies stand, what carries others before those. */
export function standAll(recipe: Recipe, colourway: Colourway | undefined, context: Standing): Stood {
	const shapes = new Map<Id, Shape>();
	const spots = new Map<Id, readonly Spot[]>();
	/** What a piece sits on may be a piece of another section on the same host. */
	const withOthers = (section: Section, hostShape: Shape): Room & { readonly host: HostShape } => {
		const others = sittingBeside(recipe.sections, section);
		for (const other of others) stand(other);
		const far = reachedFrom(recipe.sections, section, others);
		for (const other of far) stand(other);
		if (others.length + far.length === 0) return hostShape;
		const { balls, half, top } = hostShape;
		const host = carryingToo(
			hostShape.host,
			others.flatMap((o) => shapes.get(o.id)?.host ?? [])
		);
		return { balls, half, top, host: reachingTo(host, seenBy(section, far, { shapes, spots })) };
	};
	const stand = (section: Section): readonly Spot[] => {
		const stood = spots.get(section.id);
		if (stood) return stood;
		spots.set(section.id, [ORIGIN]); // A section that stands by itself, which no schema lets through, ends here.
		const { by } = section.stand;
		const host = by === null ? undefined : recipe.sections.find((s) => s.id === by);
		const hostSpots = host && stand(host);
		const hostShape = host && shapes.get(host.id);
		const carrying = hostShape && withOthers(section, hostShape);
		const shape = shapeOf(section, carrying?.host, colourway, context);
		shapes.set(section.id, shape);
		const own = isOnHosts(section.structure)
			? (hostSpots ?? [ORIGIN])
			: hostSpots
				? hostSpots.flatMap((at) => standBy(section, shape, at, carrying ?? bounded(NOTHING_PLACED)))
				: inRow(section, shape, ORIGIN, [1, 0], 0);
		spots.set(section.id, own);
		return own;
	};
	for (const section of recipe.sections) stand(section);
	return { shapes, spots };
}

/** What other sections carry, in the coordinates of what one stands by. */
export const seenBy = (
	section: Section,
	others: readonly Section[],
	{ shapes, spots }: Stood
): HostShape[] => {
	const from = spots.get(section.stand.by ?? '')?.[0] ?? ORIGIN;
	return others.flatMap(({ id }) => {
		const [at, own] = [spots.get(id)?.[0], shapes.get(id)];
		return at && own ? [hostSeenFrom(own.host, at, from)] : [];
	});
};

interface KeptShape extends Pick<Standing, 'pumps' | 'packed'> {
	readonly colourway: Colourway | undefined;
	readonly section: Id;
	readonly shape: Shape;
}
/** Shapes of what hangs on nothing but itself: of a design being edited all but one stay what they are. */
const keptShapes = new WeakMap<Structure, KeptShape>();

function shapeOf(
	{ id: section, structure }: Section,
	host: HostShape | undefined,
	colourway: Colourway | undefined,
	{ pumps, packed, nested }: Standing
): Shape {
	const cached = keptShapes.get(structure);
	if (
		cached?.section === section &&
		cached.pumps === pumps &&
		cached.packed === packed &&
		cached.colourway === colourway
	)
		return cached.shape;
	const placed = place(structure, {
		section,
		host: host ?? NO_HOST,
		colourway,
		pumps,
		packed,
		nested
	});
	const shape = 'host' in placed ? (placed as Shape) : bounded(placed);
	if (standsAlone(structure)) keptShapes.set(structure, { section, pumps, packed, colourway, shape });
	return shape;
}

/** Room is measured only where something stands by it: most designs are one stack. */
export function bounded(placed: Placed): Shape {
	let measured: Room | undefined;
	const room = () => (measured ??= measure(placed));
	return {
		...placed,
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
