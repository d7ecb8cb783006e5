import { accompanies } from '../structures/registry/refs.ts';
import { startOf } from '../structures/registry/language.ts';
import { linesOf } from '../structures/registry/print.ts';
import type { MaterialOf } from '../structures/facets/print.ts';
import type { Recipe } from '../recipe/recipe.ts';
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
	const hostName: typeof context.hostName = (host) => {
		const name = context.hostName(host);
		return only && name.startsWith(`${only.name} `) ? name.slice(only.name.length + 1) : name;
	};
	return recipe.sections.flatMap((section) => {
		const word = startOf(section.structure);
		const begun = word === null || (section === only && word === STACK);
		return [
			...(begun ? [] : [`${word} ${printSection(section, recipe, nameOf)}`]),
			...linesOf(section.structure, { ...context, hostName }).map((l) => l.text)
		];
	});
}
