import type { Mutable } from '../document/mutable.ts';
import type { NewId } from '../document/id.ts';
import type { Home } from '../structures/facets/language.ts';
import type { Structure } from '../structures/kinds.ts';
import { holdsLines } from '../structures/registry/language.ts';
import { accompanies } from '../structures/registry/refs.ts';
import { isBareStack } from '../structures/stack/edit.ts';
import { newSection } from './build.ts';
import { wayDown } from './copies.ts';
import type { Recipe, Section } from './recipe.ts';
import { type RecipeDraft, dropUnusedSlots } from './draft.ts';

/** Exchanges what two slots hold in one colourway: the pop becomes the main, the main the pop. */
export function swapSlots(recipe: RecipeDraft, colourway: string, [a, b]: readonly [string, string]) {
	const fills = recipe.colourways.find((c) => c.id === colourway)?.fills;
	if (!fills) return;
	[fills[a], fills[b]] = [fills[b] ?? null, fills[a] ?? null];
}

/** Puts a section last: the newest stands by what is there. */
export function addSection(recipe: RecipeDraft, section: Section) {
	const { structure, stand } = section;
	const [only, ...others] = recipe.sections as Recipe['sections'];
	// The empty stack that every new design starts with gives way to a bunch, a form, a run or a weave said first.
	const untouched = only !== undefined && others.length === 0 && isBareStack(only.structure);
	if (untouched && stand.by === null && holdsLines(structure) && !isBareStack(structure))
		recipe.sections = [];
	recipe.sections.push(section as Mutable<Section>);
}

/** The section that takes something, made where it is not there yet. */
export function settle(
	recipe: RecipeDraft,
	home: Home<Structure>,
	newId: NewId
): RecipeDraft['sections'][number] | undefined {
	if (home === undefined) return undefined;
	if ('section' in home) return recipe.sections.find((s) => s.id === home.section);
	const section = newSection(newId(), home.name, structuredClone(home.structure));
	addSection(recipe, { ...section, stand: home.stand ?? section.stand });
	return recipe.sections.at(-1);
}

/** Takes a section out; what stood by it stands where it stood. The last one stays. */
export function removeSection(recipe: RecipeDraft, id: string) {
	const gone = recipe.sections.find((s) => s.id === id);
	if (!gone || recipe.sections.filter((s) => !accompanies(s.structure) || s.id === id).length < 2) return;
	// Pieces go with what carries them.
	recipe.sections = recipe.sections.filter(
		(s) => s.id !== id && !(accompanies(s.structure) && s.stand.by === id)
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
	return recipe.sections.filter((s) => !accompanies(s.structure) && !standsBy(s));
}
