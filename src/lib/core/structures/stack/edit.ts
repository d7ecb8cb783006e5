import type { Mutable } from '../../document/mutable.ts';
import { type Parsed, got } from '../../errors.ts';
import type { NewId } from '../../document/id.ts';
import { anew } from '../kit/anew.ts';
import { resizeBalloons } from '../kit/resize.ts';
import type { Layer, Stack } from './document.ts';
import type { Structure } from '../kinds.ts';
import type { Recipe, Section } from '../../recipe/recipe.ts';
import { type RecipeDraft, dropUnusedSlots } from '../../recipe/draft.ts';

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
export const stacksIn = (recipe: Pick<Recipe, 'sections'>): { section: Section; stack: Stack }[] =>
	recipe.sections.flatMap((section) =>
		section.structure.kind === 'stack' ? [{ section, stack: section.structure }] : []
	);

/** What the entry line has no words for stays with the places it stood at: a certain material, a side. */
export function keepUnsaid(next: Mutable<Layer>, replaced: Mutable<Layer>): Mutable<Layer> {
	next.clusters.forEach((cluster, c) => {
		const old = replaced.clusters[c];
		if (old?.places.length !== cluster.places.length) return;
		cluster.places.forEach((place, p) => {
			place.side = old.places[p]!.side;
			if (place.nominal === old.places[p]!.nominal) place.material = old.places[p]!.material;
		});
	});
	return next;
}

export function removeLayer(recipe: RecipeDraft, id: string) {
	const stack = stackWith(recipe, id);
	if (!stack) return;
	stack.layers = stack.layers.filter((l) => l.id !== id);
	dropUnusedSlots(recipe);
}

/** Why a row cannot be cut in two there, as a sentence; undefined where it can. @param after layers of it that stay below */
export function whyNotSplit(
	{ repeat, clusters }: Pick<Layer, 'repeat' | 'clusters'>,
	after: number
): string | undefined {
	if (repeat < 2) return 'It is one layer: there is nothing to split.';
	if (!Number.isInteger(after) || after < 1 || after >= repeat)
		return `It has ${repeat} layers: split it after 1 to ${repeat - 1}.`;
	return clusters.some((c) => c.pattern.kind !== 'same' && c.pattern.kind !== 'list')
		? 'Its colours go on from layer to layer: split it into rows of one colour first.'
		: undefined;
}

/** Makes two rows of one whose layers are alike, so that something can be done between them; nothing where {@link whyNotSplit}. */
export function splitLayer(recipe: RecipeDraft, id: string, after: number, newId: NewId): void {
	const layers = stackWith(recipe, id)?.layers ?? [];
	const at = layers.findIndex((l) => l.id === id);
	const layer = layers[at];
	if (!layer || whyNotSplit(layer as Layer, after) !== undefined) return;
	const upper = { ...anew(layer, newId), repeat: layer.repeat - after };
	// How many there are is said with where they are split.
	delete upper.range;
	delete layer.range;
	if (upper.follows?.row === null) upper.follows = { row: null, by: 0 };
	layer.repeat = after;
	layers.splice(at + 1, 0, upper);
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

/** Sizes every balloon of a layer up or down by half an inch. Nothing changes where one of them would be refused. */
export function resizeLayer(recipe: RecipeDraft, id: string, halves: number): Parsed<null> {
	const layer = layerWith(recipe, id);
	return layer ? resizeBalloons(layer, halves) : got(null);
}

/** The empty stack that every new design starts with. */
export const isBareStack = (structure: Structure): boolean =>
	structure.kind === 'stack' && structure.layers.length === 0;

/** The topmost row of the section in hand, else of the last column. */
export function rowInHand(sections: Recipe['sections'], section: string | undefined): Layer | undefined {
	const stacks = stacksIn({ sections });
	const own = stacks.find((s) => s.section.id === section) ?? stacks.at(-1);
	return own?.stack.layers.at(-1);
}
