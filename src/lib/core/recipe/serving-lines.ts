import { ofKind } from '../structures/kinds.ts';
import { countedLines } from '../structures/extras/count.ts';
import type { Id } from '../document/id.ts';
import { isSeen } from '../structures/registry/picture.ts';
import { partsOf } from '../structures/registry/refs.ts';
import type { Recipe } from './recipe.ts';

/** What is served by lines that are counted: the names of their materials, by the id of what they serve. */
export function servedBy(
	{ sections }: Pick<Recipe, 'sections'>,
	nameOf: (material: Id) => string
): ReadonlyMap<Id, readonly string[]> {
	const served = new Map<Id, string[]>();
	for (const { structure } of ofKind(sections, 'extras'))
		for (const { serves, material } of countedLines(structure.lines))
			for (const id of serves) served.set(id, [...(served.get(id) ?? []), nameOf(material)]);
	return served;
}

/** Where a line goes that serves rows, pieces or items and no whole section: what it serves, by its id. */
export function fixedAt({ sections }: Pick<Recipe, 'sections'>): ReadonlyMap<Id, readonly Id[]> {
	const whole = new Set(sections.map((s) => s.id));
	const fixed = new Map<Id, readonly Id[]>();
	for (const { structure } of ofKind(sections, 'extras'))
		for (const { id, serves } of countedLines(structure.lines))
			if (serves.length > 0 && !serves.some((s) => whole.has(s))) fixed.set(id, serves);
	return fixed;
}

/** What a line may serve, by its id: sections, then the rows, pieces and items in each. What a plan meets, a line can serve. */
export function servable({ sections }: Pick<Recipe, 'sections'>): [id: Id, words: string][] {
	return sections.flatMap(({ id, name, structure }): [Id, string][] => {
		const parts = partsOf(structure, name).filter((p) => p.served);
		const words = parts.map((p, i): [Id, string] => [p.id, `  ${p.name ?? `${name} row ${i + 1}`}`]);
		return isSeen(structure) ? [[id, name], ...words] : [];
	});
}
