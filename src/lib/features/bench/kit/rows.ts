import type { Id } from '../../../core/document/id.ts';
import { printLines } from '../../../core/language/print.ts';
import type { Recipe, Section } from '../../../core/recipe/recipe.ts';
import type { PrintedLine } from '../../../core/structures/facets/print.ts';
import { lookOf } from '../../colours/look-of.ts';
import type { Bench } from '../bench.svelte.ts';

/** A line of a section as it is said. */
export interface KeyRow {
	/** What has an id can be moved and taken out; the others are said anew. */
	readonly id: Id | null;
	readonly text: string;
	/** The same as it is typed. */
	readonly typed: string;
	/** What it is called where it is taken out. */
	readonly name: string;
	readonly hex: string;
	/** Said behind it, more quietly. */
	readonly asides: readonly string[];
	/** What the others go on. */
	readonly strong?: boolean;
}

/** What a section says, a row a line, in the order of the recipe; what is only said yet too. */
export function rowsOf(bench: Bench, section: Section): (PrintedLine & KeyRow)[] {
	const lines = (recipe: Pick<Recipe, 'slots' | 'sections'>) =>
		printLines(section, recipe, (id) => bench.catalogue.materials.get(id));
	// A colour is shown by what it holds, and typed by its own name.
	const typed = lines(bench.shown);
	return lines(bench.shownByColour).map((line, i) => ({
		...line,
		typed: typed[i]!.text,
		name: line.text,
		hex: hexOfSlot(bench, line.slot),
		asides: line.id === null ? [] : asidesOf(bench, line.id)
	}));
}

/** The colour a slot has in what is shown; nothing where it is open. */
export function hexOfSlot(bench: Bench, slot: string | null): string {
	const fills = bench.shown.colourways.find((c) => c.id === bench.chosen.id)?.fills ?? {};
	return hexOf(bench, slot === null ? null : fills[slot]);
}

export function hexOf(bench: Bench, colour: string | null | undefined): string {
	const own = bench.catalogue.colours.get(colour ?? '');
	return own ? lookOf(own) : 'transparent';
}

/** Lines that hold a part too, and a host that is gone. */
export const asidesOf = (bench: Bench, id: string): string[] => [
	...(bench.served.get(id) ?? []),
	...(bench.tally.assembly.lost.includes(id) ? ['its host is gone'] : [])
];
