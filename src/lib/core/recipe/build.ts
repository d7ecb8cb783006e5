import type { Inside } from '../document/inside.ts';
import { layersForHeight, ownPitch } from '../geometry/antiprism.ts';
import { SQUASH } from '../geometry/heights.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { Size } from '../sizing/size.ts';
import { feet, inches, type Micrometres } from '../units/length.ts';
import type { RationalText } from '../units/rational.ts';
import type {
	ColourRef,
	SaidBalloon,
	SaidCluster,
	SaidFill,
	SaidLayer,
	SaidPattern
} from '../language/entry.ts';
import type { Pattern } from '../document/pattern.ts';
import { MOST_REPEATS } from '../document/limits.ts';
import { ON_THE_FLOOR } from '../document/stand.ts';
import { RECIPE_FORMAT, RECIPE_VERSION, type Recipe, type Section } from './recipe.ts';
import type { Bunch } from '../structures/bunch/document.ts';
import type { Cluster, Place } from '../document/cluster.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { DesignUse } from '../structures/design/document.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import type { Form } from '../structures/form/document.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import type { Id } from '../document/id.ts';
import type { Run } from '../structures/run/document.ts';
import type { Structure } from '../structures/kinds.ts';
import type { Weave } from '../structures/weave/document.ts';

/** Makes ids; the client hands in `crypto.randomUUID`. */
export type NewId = () => string;

export const emptyStack = (): Stack => ({
	kind: 'stack',
	layers: [],
	upright: { kind: 'none', length: null, material: null, tie: inches(2) },
	joining: 'twisted on',
	squash: SQUASH.usual,
	onFloor: true
});

/** A balloon as said: its method follows from its size, its slot from the pattern. */
export const newPlace = (id: string, nominal: Micrometres, size: Size): Place => ({
	id,
	kind: 'latex-round',
	nominal,
	size,
	method: null,
	slot: null,
	material: null,
	side: null
});

/** A line that is always used, in a plain count. */
export const newLine = (id: string, material: string, quantity: RationalText): ExtraLine => ({
	id,
	material,
	quantity,
	range: null,
	role: 'always',
	taken: true,
	choice: null,
	serves: [],
	swappable: false
});

export const emptyBunch = (): Bunch => ({ kind: 'bunch', arrangement: 'bunch', items: [], weight: null });
export const emptyForm = (): Form => ({ kind: 'form', pieces: [] });

/** A run along ten feet, everything of it still to be said: a line at the height of a doorway. */
export const emptyRun = (): Run => ({
	kind: 'run',
	path: { kind: 'line', length: feet(10) },
	height: feet(7),
	branches: [],
	rows: [],
	joining: 'twisted on',
	squash: SQUASH.usual,
	corner: null,
	mix: [],
	organic: {
		seen: 'all round',
		fullness: '1',
		thicker: 'even',
		by: 'clusters',
		clusters: null,
		taught: null,
		packed: null,
		seed: 1
	},
	infill: [],
	spine: null,
	hung: null,
	spare: 0
});

/** A panel of 10-inch links, its rows still to be said; held by duplets along its boundaries, a handle by quads. */
export const emptyWeave = (): Weave => ({
	kind: 'weave',
	shape: 'panel',
	woven: { kind: 'latex-link', nominal: inches(10), size: { kind: 'unknown' }, method: null },
	rows: [],
	base: null,
	joiner: null,
	joints: { edge: 'duplet', inner: 'duplet', base: 'duplet', handle: 'quad', foot: 'quad', ends: 'none' },
	take: 1,
	of: 2,
	stagger: 1,
	chord: null,
	handle: null,
	hung: null
});

/** Another design as it stands, in its first colourway. */
export const designUse = (design: string, quantity: RationalText = '1'): DesignUse => ({
	kind: 'design',
	design,
	quantity,
	colourway: null,
	size: null,
	version: null
});

/** A colourway with every slot in place. */
export const newColourway = (id: string, name: string, fills: Colourway['fills']): Colourway => ({
	id,
	name,
	fills,
	without: []
});

/** A section of plain work on the floor. */
export const newSection = (id: string, name: string, structure: Structure): Section => ({
	id,
	name,
	structure,
	difficulty: '1',
	notes: '',
	times: 1,
	mirror: false,
	stand: ON_THE_FLOOR,
	swappable: false
});

/** A new design: one empty stack, one colourway. */
export function emptyRecipe(name: string, newId: NewId): Recipe {
	const section = newSection(newId(), 'column', emptyStack());
	return {
		format: RECIPE_FORMAT,
		version: RECIPE_VERSION,
		name,
		tags: [],
		notes: '',
		slots: [],
		colourways: [newColourway(newId(), 'first colours', {})],
		sections: [section],
		pricing: null,
		silenced: [],
		sizes: [],
		rules: [],
		credit: '',
		steps: []
	};
}

/** A layer made from what was said, with the slots it still needs. */
export interface BuiltLayer {
	readonly layer: Layer;
	readonly newSlots: readonly { readonly slot: Slot; readonly colour: string }[];
}

export function buildLayer(said: SaidLayer, squash: number, newId: NewId): BuiltLayer {
	const made = new Map<string, { slot: Slot; colour: string }>();
	const slotId = (ref: ColourRef): string => {
		if ('slot' in ref) return ref.slot;
		const had = made.get(ref.colour) ?? {
			slot: { id: newId(), name: ref.name, role: null },
			colour: ref.colour
		};
		made.set(ref.colour, had);
		return had.slot.id;
	};
	const clusters = said.clusters.map((cluster): Cluster => ({
		id: newId(),
		places: [
			...sameBalloons(cluster, null, cluster.count, newId).map((p) => ({ ...p, ...filled(cluster, slotId) })),
			...cluster.others.flatMap((other) =>
				sameBalloons(other, other.colour && slotId(other.colour), other.count, newId)
			)
		],
		side: cluster.side,
		tier: cluster.tier,
		pattern: buildPattern(cluster.pattern, slotId)
	}));
	const repeat =
		said.toHeight === null ? said.repeat : repeatsFor(said.clusters[0]!, said.toHeight / 1000, squash);
	return {
		layer: { id: newId(), clusters, repeat, turn: said.turn, joining: said.joining },
		newSlots: [...made.values()]
	};
}

const sameBalloons = (said: SaidBalloon, slot: Id | null, count: number, newId: NewId): Place[] =>
	Array.from({ length: count }, () => ({ ...saidPlace(newId(), said), slot }));

/** What was said to be in a balloon and on it; what was not said stands nowhere. */
export function filled(
	{ inside, painted }: SaidFill,
	slotId: (ref: ColourRef) => Id
): Pick<Place, 'inside' | 'painted'> {
	const made: Inside | undefined =
		inside &&
		('of' in inside
			? { kind: 'filling', of: inside.of }
			: {
					kind: 'balloon',
					nominal: inside.balloon.nominal,
					size: inside.balloon.size,
					slot: slotId(inside.colour)
				});
	return { ...(made ? { inside: made } : {}), ...(painted ? { painted } : {}) };
}

/** A balloon as it was said, in no slot of its own yet. */
export const saidPlace = (id: string, { nominal, size, kind, method }: SaidBalloon): Place => ({
	...newPlace(id, nominal, size),
	kind,
	method
});

function buildPattern({ kind, colours, hand }: SaidPattern, slotId: (ref: ColourRef) => string): Pattern {
	const slots = colours.map((c) => slotId(c.ref));
	switch (kind) {
		case 'same':
			return { kind, slot: slots[0]! };
		case 'spiral':
			return { kind, slots, hand };
		case 'blocks':
			return { kind, blocks: colours.map((c, i) => ({ slot: slots[i]!, rings: c.rings })) };
		default:
			return { kind, slots };
	}
}

function repeatsFor({ count, nominal, size }: SaidCluster, height: number, squash: number): number {
	const { assumed } = resolveSize(size, nominal);
	return Math.min(MOST_REPEATS, layersForHeight(height, ownPitch(count, assumed, squash)));
}
