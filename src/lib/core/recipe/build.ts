import { ON_THE_FLOOR } from '../document/stand.ts';
import { RECIPE_FORMAT, RECIPE_VERSION, type Recipe, type Section } from './recipe.ts';
import type { Colourway } from '../document/slot.ts';
import type { NewId } from '../document/id.ts';
import type { Structure } from '../structures/kinds.ts';
import { emptyStack } from '../structures/stack/empty.ts';
/** What the colourway of a new design is called until somebody names it. */
export const UNNAMED = 'first colours';

/** A colourway with every slot in place. */
export const newColourway = (id: string, name: string, fills: Colourway['fills']): Colourway => ({
	id,
	name,
	fills,
	without: []
});

/** A section of plain work on the floor. */
export const newSection = (id: string, name: string, structure: Structure): Section => ({
	id,
	name,
	structure,
	difficulty: '1',
	notes: '',
	times: 1,
	mirror: false,
	stand: ON_THE_FLOOR,
	swappable: false
});

/** A new design: one empty stack, one colourway. */
export function emptyRecipe(name: string, newId: NewId): Recipe {
	const section = newSection(newId(), 'column', emptyStack());
	return {
		format: RECIPE_FORMAT,
		version: RECIPE_VERSION,
		name,
		tags: [],
		notes: '',
		slots: [],
		colourways: [newColourway(newId(), UNNAMED, {})],
		sections: [section],
		pricing: null,
		silenced: [],
		sizes: [],
		rules: [],
		credit: '',
		steps: []
	};
}
