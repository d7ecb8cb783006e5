import type { Id } from '../document/id.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { Recipe } from '../recipe/recipe.ts';

/** A slot that is not there. */
export const LEFT_OUT = 'left out';

/** What a line of a quote has otherwise than its colourway: a colour for a slot, or the slot left out. */
export type OwnSlots = Readonly<Record<Id, Id | typeof LEFT_OUT>>;

/** The colourway of a line that has slots of its own. */
const OWN = 'own';
type Line = { readonly recipe: Recipe; readonly colourway: string | null };

/** The same for the same, so that what was worked out for it is found again. */
const made = new WeakMap<Recipe, Map<string, Recipe>>();

/** The recipe of a line with its own slots, and the colourway they make. Slots the recipe does not have are passed over. */
export function withOwnSlots(recipe: Recipe, colourway: string | null, own: OwnSlots = {}): Line {
	const said = recipe.slots.flatMap(({ id }) => (own[id] === undefined ? [] : [[id, own[id]] as const]));
	if (said.length === 0) return { recipe, colourway };
	const key = JSON.stringify([colourway, said]);
	const before = made.get(recipe) ?? new Map<string, Recipe>();
	made.set(recipe, before);
	const known = before.get(key);
	if (known) return { recipe: known, colourway: OWN };
	const base = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	const next = { ...recipe, colourways: [...recipe.colourways, changed(base, said)] };
	before.set(key, next);
	return { recipe: next, colourway: OWN };
}

function changed(
	{ fills, without }: Pick<Colourway, 'fills' | 'without'> = { fills: {}, without: [] },
	said: readonly (readonly [Slot['id'], string])[]
): Colourway {
	const filled = said.filter(([, what]) => what !== LEFT_OUT);
	const back = new Set(filled.map(([id]) => id));
	const out = said.flatMap(([id, what]) => (what === LEFT_OUT ? [id] : []));
	return {
		id: OWN,
		// Told by its colours.
		name: '',
		fills: { ...fills, ...Object.fromEntries(filled) },
		without: [...new Set([...without.filter((id) => !back.has(id)), ...out])]
	};
}
