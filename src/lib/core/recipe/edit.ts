import type { Mutable } from '../document/mutable.ts';
import { type Parsed, got } from '../errors.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { Size } from '../sizing/size.ts';
import { inches, um, type Micrometres } from '../units/length.ts';
import { newSection, type BuiltLayer, type NewId } from './build.ts';
import { wayDown } from './copies.ts';
import { checked } from '../language/balloon.ts';
import { slotsIn } from './links.ts';
import { MOST_REPEATS } from '../document/limits.ts';
import type { ExtraLine, Extras } from '../structures/extras/document.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import type { Recipe, Section } from './recipe.ts';

export type RecipeDraft = Mutable<Recipe>;

const HALF_INCH = inches(0.5);

/** The stack of a section; without one said, the first stack of the design. */
export function stackOf(recipe: RecipeDraft, section?: string): Mutable<Stack> | undefined {
	const found = recipe.sections.find((s) =>
		section === undefined ? s.structure.kind === 'stack' : s.id === section
	);
	return found?.structure.kind === 'stack' ? found.structure : undefined;
}

/** The stack that holds a layer: rows have ids that are met once in a design. */
function stackWith(recipe: RecipeDraft, layer: string): Mutable<Stack> | undefined {
	for (const { structure } of recipe.sections)
		if (structure.kind === 'stack' && structure.layers.some((l) => l.id === layer)) return structure;
	return undefined;
}

/** A row by its id, whatever section holds it. */
export const layerWith = (recipe: RecipeDraft, id: string): Mutable<Layer> | undefined =>
	stackWith(recipe, id)?.layers.find((l) => l.id === id);

/** The stack of a stored recipe. */
export const stackIn = (recipe: Recipe): Stack | undefined =>
	recipe.sections.map((s) => s.structure).find((s): s is Stack => s.kind === 'stack');

/** Every stack of a stored recipe with its section, in order. */
export const stacksIn = (recipe: Recipe): { section: Section; stack: Stack }[] =>
	recipe.sections.flatMap((section) =>
		section.structure.kind === 'stack' ? [{ section, stack: section.structure }] : []
	);

export const extrasIn = (recipe: Recipe): Extras | undefined =>
	recipe.sections.map((s) => s.structure).find((s): s is Extras => s.kind === 'extras');

/**
 * Puts a layer at `index` (0 is lowest) of a section's stack, makes its slots and fills them in every colourway.
 * @param section the first stack where none is said
 */
export function insertLayer(recipe: RecipeDraft, index: number, built: BuiltLayer, section?: string) {
	addSlots(recipe, built);
	stackOf(recipe, section)?.layers.splice(index, 0, built.layer as Mutable<Layer>);
}

/** Replaces a layer by what was typed in its place; the row keeps its id. */
export function replaceLayer(recipe: RecipeDraft, id: string, built: BuiltLayer) {
	const layers = stackWith(recipe, id)?.layers;
	if (!layers) return;
	const index = layers.findIndex((l) => l.id === id);
	addSlots(recipe, built);
	layers[index] = { ...keepUnsaid(built.layer as Mutable<Layer>, layers[index]!), id };
	dropUnusedSlots(recipe);
}

/** What the entry line has no words for stays with the places it stood at: a certain material, a side. */
function keepUnsaid(next: Mutable<Layer>, had: Mutable<Layer>): Mutable<Layer> {
	next.clusters.forEach((cluster, c) => {
		const old = had.clusters[c];
		if (old?.places.length !== cluster.places.length) return;
		cluster.places.forEach((place, p) => {
			place.side = old.places[p]!.side;
			if (place.nominal === old.places[p]!.nominal) place.material = old.places[p]!.material;
		});
	});
	return next;
}

/** Makes the slots something new needs, and fills them in every colourway. */
export function addSlots(recipe: RecipeDraft, { newSlots }: Pick<BuiltLayer, 'newSlots'>) {
	for (const { slot, colour } of newSlots) {
		recipe.slots.push({ ...slot });
		for (const colourway of recipe.colourways) colourway.fills[slot.id] = colour;
	}
}

export function removeLayer(recipe: RecipeDraft, id: string) {
	const stack = stackWith(recipe, id);
	if (!stack) return;
	stack.layers = stack.layers.filter((l) => l.id !== id);
	dropUnusedSlots(recipe);
}

/** Slots nobody names any more go with the last layer that named them. */
export function dropUnusedSlots(recipe: RecipeDraft) {
	const used = new Set<string>();
	for (const section of recipe.sections) for (const slot of slotsIn(section as Section)) used.add(slot);
	recipe.slots = recipe.slots.filter((s) => used.has(s.id));
	for (const colourway of recipe.colourways) {
		for (const id of Object.keys(colourway.fills)) if (!used.has(id)) delete colourway.fills[id];
		colourway.without = colourway.without.filter((id) => used.has(id));
	}
}

/** @param by +1 is one up, away from the floor */
export function moveLayer(recipe: RecipeDraft, id: string, by: number) {
	const layers = stackWith(recipe, id)?.layers ?? [];
	const from = layers.findIndex((l) => l.id === id);
	const to = Math.max(0, Math.min(layers.length - 1, from + by));
	if (from < 0 || from === to) return;
	const [layer] = layers.splice(from, 1);
	layers.splice(to, 0, layer!);
}

/** Orders the rows as given, floor first; ids that are not rows are passed over. */
export function orderLayers(recipe: RecipeDraft, ids: readonly string[]) {
	const stack = ids[0] === undefined ? undefined : stackWith(recipe, ids[0]);
	if (!stack || ids.length !== stack.layers.length) return;
	const byId = new Map(stack.layers.map((l) => [l.id, l]));
	const ordered = ids.flatMap((id) => byId.get(id) ?? []);
	if (ordered.length === stack.layers.length) stack.layers = ordered;
}

/** A copy directly above, with ids of its own. */
export function duplicateLayer(recipe: RecipeDraft, id: string, newId: NewId): string | undefined {
	const layers = stackWith(recipe, id)?.layers ?? [];
	const index = layers.findIndex((l) => l.id === id);
	const layer = layers[index];
	if (!layer) return undefined;
	const copy: Mutable<Layer> = {
		...layer,
		id: newId(),
		clusters: layer.clusters.map((c) => ({
			...c,
			id: newId(),
			places: c.places.map((p) => ({ ...p, id: newId() }))
		}))
	};
	layers.splice(index + 1, 0, copy);
	return copy.id;
}

export function repeatLayer(recipe: RecipeDraft, id: string, by: number) {
	const layer = layerWith(recipe, id);
	if (layer) layer.repeat = Math.max(1, Math.min(MOST_REPEATS, layer.repeat + by));
}

/**
 * Sizes every balloon of a layer up or down by half an inch (by a stroke where it is pumped by count).
 * A size nobody said becomes an estimated one. Nothing changes where one of them would be refused.
 */
export function resizeLayer(recipe: RecipeDraft, id: string, halves: number): Parsed<null> {
	const layer = layerWith(recipe, id);
	if (!layer) return got(null);
	const sizes: { place: { size: Size }; size: Size }[] = [];
	for (const place of layer.clusters.flatMap((c) => c.places)) {
		const size = stepSize(place.size as Size, place.nominal, halves);
		const outcome =
			size.kind === 'strokes' ? got(size) : checked(size, largest(size, place.nominal), place.nominal);
		if (!outcome.ok) return outcome;
		sizes.push({ place: place as { size: Size }, size });
	}
	for (const { place, size } of sizes) place.size = size;
	return got(null);
}

const largest = (size: Size, nominal: Micrometres): Micrometres =>
	size.kind === 'value' ? size.um : size.kind === 'range' ? size.high : nominal;

function stepSize(size: Size, nominal: Micrometres, halves: number): Size {
	const by = halves * HALF_INCH;
	switch (size.kind) {
		case 'value':
			return { ...size, um: um(Math.max(1, size.um + by)) };
		case 'range':
			return { ...size, low: um(Math.max(1, size.low + by)), high: um(Math.max(2, size.high + by)) };
		case 'strokes':
			return { ...size, strokes: Math.max(1, size.strokes + halves) };
		default: {
			const assumed = Math.round((resolveSize(size, nominal).assumed * 1000) / HALF_INCH) * HALF_INCH;
			return { kind: 'value', um: um(assumed + by), unit: 'in', origin: 'estimated' };
		}
	}
}

/** Adds an extra line, or more of one that is there. */
export function addExtra(recipe: RecipeDraft, line: ExtraLine, newId: NewId) {
	let extras = recipe.sections.map((s) => s.structure).find((s) => s.kind === 'extras');
	if (!extras) {
		extras = { kind: 'extras', lines: [] };
		recipe.sections.push(newSection(newId(), 'extras', extras as Extras) as Mutable<Section>);
		extras = recipe.sections.at(-1)!.structure as Mutable<Extras>;
	}
	extras.lines.push({ ...line, serves: [...line.serves] } as Mutable<ExtraLine>);
}

export function removeExtra(recipe: RecipeDraft, id: string) {
	for (const { structure } of recipe.sections) {
		if (structure.kind === 'extras') structure.lines = structure.lines.filter((l) => l.id !== id);
	}
	recipe.sections = recipe.sections.filter(
		(s) => s.structure.kind !== 'extras' || s.structure.lines.length > 0
	);
}

/** Exchanges what two slots hold in one colourway: the pop becomes the main, the main the pop. */
export function swapSlots(recipe: RecipeDraft, colourway: string, [a, b]: readonly [string, string]) {
	const fills = recipe.colourways.find((c) => c.id === colourway)?.fills;
	if (!fills) return;
	[fills[a], fills[b]] = [fills[b] ?? null, fills[a] ?? null];
}

/** Structures said line by line, none of them a layer. */
export const LINED: ReadonlySet<Section['structure']['kind']> = new Set([
	'bunch',
	'form',
	'run',
	'weave'
] as const);

/** Puts a section last: the newest stands by what is there. */
export function addSection(recipe: RecipeDraft, section: Section) {
	const { structure, stand } = section;
	const [only] = recipe.sections;
	// The empty stack that every new design starts with gives way to a bunch, a form, a run or a weave said first.
	const untouched =
		recipe.sections.length === 1 && only!.structure.kind === 'stack' && only!.structure.layers.length === 0;
	if (untouched && stand.by === null && LINED.has(structure.kind)) recipe.sections = [];
	recipe.sections.push(section as Mutable<Section>);
}

/** Something that stands by itself: pieces and extras only come with it. */
const isPart = (kind: Section['structure']['kind']): boolean => kind !== 'applied' && kind !== 'extras';

/** Takes a section out; what stood by it stands where it stood. The last one stays. */
export function removeSection(recipe: RecipeDraft, id: string) {
	const gone = recipe.sections.find((s) => s.id === id);
	if (!gone || recipe.sections.filter((s) => isPart(s.structure.kind) || s.id === id).length < 2) return;
	// Pieces go with what carries them.
	recipe.sections = recipe.sections.filter(
		(s) => s.id !== id && !(s.structure.kind === 'applied' && s.stand.by === id)
	);
	for (const section of recipe.sections) {
		if (section.stand.by === id) section.stand = { ...gone.stand, tie: section.stand.tie };
	}
	dropUnusedSlots(recipe);
}

/** @param by +1 is one later in the order of the list, which is one up on the screen */
export function moveSection(recipe: RecipeDraft, id: string, by: number) {
	const from = recipe.sections.findIndex((s) => s.id === id);
	const to = Math.max(0, Math.min(recipe.sections.length - 1, from + by));
	if (from < 0 || from === to) return;
	const [section] = recipe.sections.splice(from, 1);
	recipe.sections.splice(to, 0, section!);
}

/** Sections another may stand by: every one that does not itself stand by it. */
export function hostsFor(recipe: Recipe, id: string): Section[] {
	const standsBy = (section: Section) => wayDown(recipe, section).some((s) => s.id === id);
	return recipe.sections.filter((s) => isPart(s.structure.kind) && !standsBy(s));
}
