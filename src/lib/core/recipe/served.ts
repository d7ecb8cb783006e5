import { countedLines } from '../structures/extras/count.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from './recipe.ts';

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

/** What a line may serve, by its id: sections, then the rows, pieces and items in each. What a plan meets, a line can serve. */
export function servable({ sections }: Pick<Recipe, 'sections'>): [id: Id, words: string][] {
	return sections.flatMap((section): [Id, string][] =>
		section.structure.kind === 'extras' ? [] : [[section.id, section.name], ...partsIn(section)]
	);
}

function partsIn({ name, structure: s }: Section): [Id, string][] {
	const named = (parts: readonly { id: Id; name: string }[]) =>
		parts.map((p): [Id, string] => [p.id, `  ${p.name}`]);
	const rows = (parts: readonly { id: Id }[]) =>
		parts.map((r, i): [Id, string] => [r.id, `  ${name} row ${i + 1}`]);
	switch (s.kind) {
		case 'stack':
			return rows(s.layers);
		case 'weave':
			return rows(s.rows);
		case 'run':
			return [...rows(s.rows), ...named(s.branches.map(({ id, kind }) => ({ id, name: `${name} ${kind}` })))];
		case 'bunch':
			return named(s.items);
		case 'applied':
		case 'form':
			return named(s.pieces);
		case 'extras':
		case 'design':
			return [];
	}
}
