import { layersForHeight, ownPitch } from '../geometry/antiprism.ts';
import { SQUASH } from '../geometry/heights.ts';
import { resolveSize } from '../sizing/resolve.ts';
import { inches } from '../units/length.ts';
import type { ColourRef, SaidCluster, SaidLayer, SaidPattern } from './entry/entry.ts';
import { MOST_REPEATS } from './entry/parse-entry.ts';
import type { Pattern } from './pattern.ts';
import {
	ON_THE_FLOOR,
	RECIPE_FORMAT,
	RECIPE_VERSION,
	type Cluster,
	type Layer,
	type Recipe,
	type Section,
	type Slot,
	type Stack,
	type Structure
} from './recipe.ts';

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

/** A section of plain work on the floor. */
export const newSection = (id: string, name: string, structure: Structure): Section => ({
	id,
	name,
	structure,
	difficulty: '1',
	notes: '',
	times: 1,
	mirror: false,
	stand: ON_THE_FLOOR
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
		colourways: [{ id: newId(), name: 'first colours', fills: {} }],
		sections: [section],
		pricing: null,
		silenced: []
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
		const had = made.get(ref.colour) ?? { slot: { id: newId(), name: ref.name }, colour: ref.colour };
		made.set(ref.colour, had);
		return had.slot.id;
	};
	const clusters = said.clusters.map((cluster): Cluster => ({
		id: newId(),
		places: Array.from({ length: cluster.count }, () => ({
			id: newId(),
			kind: 'latex-round',
			nominal: cluster.nominal,
			size: cluster.size,
			slot: null
		})),
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
