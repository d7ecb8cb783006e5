import { PLAIN_MATERIAL, type Colour, type Material } from '../materials/material.ts';
import { formatInches, inches } from '../units/length.ts';

/** Everyday colours by their everyday names; how they look is a guess until the studio’s own are in. House list. */
const COLOURS: readonly (readonly [name: string, hex: string, finish?: Colour['finish']])[] = [
	['white', '#f7f6f2'], ['black', '#1f2023'], ['red', '#c5281c'], ['pink', '#ee9bb5'], ['orange', '#ef7d23'],
	['yellow', '#f6cf2d'], ['green', '#3c8a3f'], ['light blue', '#8cc4e6'], ['blue', '#2457a6'], ['purple', '#6c3f95'],
	['gold', '#c79a3a', 'mirror'], ['silver', '#b7bcc3', 'mirror']
]; // prettier-ignore
/** The bags most pieces are made of. Common practice. */
const BAGS = [5, 11, 16];

/** What a Stockroom may begin with: usual bags in usual colours, without prices. Ids are the same every time. */
export function firstStock(): {
	readonly colours: readonly Colour[];
	readonly materials: readonly Omit<Material, 'packs'>[];
} {
	const colours = COLOURS.map(([name, hex, finish = 'matte']): Colour => ({ id: `first-${name.replace(' ', '-')}`, name, hex, finish })); // prettier-ignore
	const materials = BAGS.flatMap((bag) =>
		colours.map((colour): Omit<Material, 'packs'> => ({
			...PLAIN_MATERIAL,
			id: `round-${bag}-${colour.id}`,
			kind: 'latex-round',
			name: `${formatInches(inches(bag))} in round, ${colour.name}`,
			nominal: inches(bag),
			colour: colour.id
		}))
	);
	return { colours, materials };
}
