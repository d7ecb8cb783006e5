import type { Colourway } from '../document/slot.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { UNNAMED } from '../recipe/build.ts';
import type { Recipe } from '../recipe/recipe.ts';

/** All colours of a design in one colourway, by their names: “hive gold, foam cream and crust brown”. */
export function colourWords(
	{ slots }: Pick<Recipe, 'slots'>,
	{ fills, without }: Colourway,
	{ colourNames }: Catalogue
): string {
	const names = slots
		.filter(({ id }) => !without.includes(id))
		.flatMap(({ id }) => colourNames.get(fills[id] ?? '') ?? []);
	const all = [...new Set(names)];
	const last = all.pop();
	return all.length === 0 ? (last ?? '') : `${all.join(', ')} and ${last}`;
}

/** The name somebody gave a colourway; blank where nobody did. */
export const givenName = ({ name }: Pick<Colourway, 'name'>): string => (name === UNNAMED ? '' : name);
