import { countedLines } from '../structures/extras.ts';
import type { Id, Recipe } from './recipe.ts';

/** What is served by lines that are counted: the names of their materials, by the id of what they serve. */
export function servedBy(
	{ sections }: Pick<Recipe, 'sections'>,
	nameOf: (material: Id) => string
): ReadonlyMap<Id, readonly string[]> {
	const served = new Map<Id, string[]>();
	for (const { structure } of sections) {
		if (structure.kind !== 'extras') continue;
		for (const { serves, material } of countedLines(structure.lines))
			for (const id of serves) served.set(id, [...(served.get(id) ?? []), nameOf(material)]);
	}
	return served;
}
