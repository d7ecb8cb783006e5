import type { Answers, Asked } from '../by-hand/asked.ts';
import type { Id } from '../document/id.ts';
import { newColourway, UNNAMED } from '../recipe/build.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { leadSize } from '../recipe/scale.ts';
import { toHeight } from '../recipe/to-height.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { feet, um, type Micrometres } from '../units/length.ts';
import type { StartingShape } from './shape.ts';

/** A kept design with this tag is offered where a new one is begun. */
export const STARTS_NEW = 'starting shape';

const colourOf = (slot: Id) => `colour ${slot}`;

/**
 * A design of the studio as a starting shape: it asks for its colours, one each, and for its height where it has one.
 * @param recipe as it was last kept
 */
export function ownShape(id: Id, recipe: Recipe, pumps: readonly PumpProfile[]): StartingShape {
	const fills = recipe.colourways[0]?.fills ?? {};
	const body = leadSize(recipe, pumps);
	const tall = um(Math.round(body.mm * 1000));
	const height: Asked = { kind: 'length', label: 'How tall', hint: 'its body', comes: 'over all', min: feet(0.5), max: feet(60), start: tall }; // prettier-ignore
	const colours = recipe.slots.map((s): [string, Asked] => [colourOf(s.id), { kind: 'colours', label: s.name, most: 1, start: 1 }]); // prettier-ignore
	const asksHeight = body.known && body.mm > 0;
	return {
		id: `own ${id}`,
		title: recipe.name,
		says: 'a design of yours',
		fields: Object.fromEntries([...colours, ...(asksHeight ? [['height', height] as const] : [])]),
		starts: {
			...Object.fromEntries(recipe.slots.map((s) => [colourOf(s.id), fills[s.id] ? [fills[s.id]!] : []])),
			...(asksHeight ? { height: tall } : {})
		},
		entries: () => [],
		make: (values, newId) => started(recipe, values, pumps, newId)
	};
}

function started(
	recipe: Recipe,
	values: Answers,
	pumps: readonly PumpProfile[],
	newId: () => string
): Recipe {
	const said = values['height'] as Micrometres | undefined;
	const now = leadSize(recipe, pumps).mm * 1000;
	// As tall as it is, it is left as it is.
	const sized =
		said === undefined || Math.abs(said - now) < 1000 ? recipe : toHeight(recipe, said / 1000, pumps).recipe;
	const fills = Object.fromEntries(recipe.slots.map((s) => [s.id, (values[colourOf(s.id)] as readonly Id[])[0] ?? null])); // prettier-ignore
	return {
		...sized,
		name: recipe.name,
		tags: recipe.tags.filter((t) => t !== STARTS_NEW),
		silenced: [],
		colourways: [newColourway(newId(), UNNAMED, fills)]
	};
}
