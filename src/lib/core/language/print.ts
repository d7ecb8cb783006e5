import type { MaterialOf, PrintContext, PrintedLine } from '../structures/facets/print.ts';
import { linesOf } from '../structures/registry/print.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { servable } from '../recipe/serving-lines.ts';
import { printHost } from './print-host.ts';

/** What is known of a recipe while it is printed. */
export const printing = (
	{ slots, sections }: Pick<Recipe, 'sections' | 'slots'>,
	materialOf: MaterialOf
): PrintContext => {
	let parts: ReadonlyMap<string, string> | undefined;
	return {
		slots,
		sections,
		materialOf,
		hostName: (host) => printHost(host, { sections }),
		partName: (id) => (parts ??= new Map(servable({ sections }))).get(id)?.trim()
	};
};

/** A section as it is typed, a line a part or setting. */
export const printLines = (
	{ structure }: Pick<Section, 'structure'>,
	recipe: Pick<Recipe, 'sections' | 'slots'>,
	materialOf: MaterialOf
): PrintedLine[] => linesOf(structure, printing(recipe, materialOf));
