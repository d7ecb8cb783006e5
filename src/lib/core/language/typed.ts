import { accompanies } from '../structures/registry/refs.ts';
import { startOf } from '../structures/registry/language.ts';
import { linesOf } from '../structures/registry/print.ts';
import type { MaterialOf } from '../structures/facets/print.ts';
import type { Host } from '../document/host.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { printing } from './print.ts';
import { printSection } from './print-section.ts';

const STACK = startOf({ kind: 'stack' });

/**
 * A whole design as it would be typed on an empty one, line by line: its sections in their order, each with how it is
 * begun; what cannot be said on a line of its own is left out.
 */
export function typedLines(recipe: Recipe, materialOf: MaterialOf): string[] {
	const standing = recipe.sections.filter((s) => !accompanies(s.structure));
	const nameOf = (id: string) => materialOf(id)?.name ?? id;
	const context = printing(recipe, materialOf);
	// A new design has a stack already: one by itself is not begun, and its rows need no name before them.
	const only = standing.length === 1 ? standing[0] : undefined;
	const hostName = (host: Host, by: Section | undefined) => {
		const name = context.hostName(host);
		// What has no name of its own is said with what it is a part of.
		if (host.on === 'path' || host.on === 'spot') return by ? `${by.name} ${name}` : name;
		return only && name.startsWith(`${only.name} `) ? name.slice(only.name.length + 1) : name;
	};
	return recipe.sections.flatMap((section) => {
		const word = startOf(section.structure);
		const begun = word === null || (section === only && word === STACK);
		return [
			...(begun ? [] : [`${word} ${printSection(section, recipe, nameOf)}`]),
			...linesOf(section.structure, {
				...context,
				hostName: (host) =>
					hostName(
						host,
						recipe.sections.find((s) => s.id === section.stand.by)
					)
			}).map((l) => l.text)
		];
	});
}
