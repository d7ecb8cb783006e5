import { colourDistance } from '../materials/colour-distance.ts';
import type { Colour, Material } from '../materials/material.ts';
import type { LeadColour } from '../photo/lead-colours.ts';
import { needsOf } from '../structures/registry/count.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from './recipe.ts';

/** A slot with the colour of a picture that goes into it, as near as it can be bought. */
export interface Matched {
	readonly slot: Id;
	readonly lead: LeadColour;
	readonly colour: Colour;
	/** CIEDE2000. */
	readonly distance: number;
}

/** Balloons each slot colours, and the kinds and sizes of them. */
function usesOf(recipe: Pick<Recipe, 'sections'>): Map<Id, { count: number; bags: Set<string> }> {
	const uses = new Map<Id, { count: number; bags: Set<string> }>();
	for (const { structure, times } of recipe.sections)
		for (const need of needsOf(structure, undefined)) {
			if (need.what !== 'balloon' || need.material !== null || need.slot === '') continue;
			const own = uses.get(need.slot) ?? { count: 0, bags: new Set<string>() };
			own.count += need.quantity.valueOf() * times;
			own.bags.add(bagKey(need.kind, need.kind === 'modelling' ? null : need.nominal, need.mark ?? null));
			uses.set(need.slot, own);
		}
	return uses;
}
const bagKey = (kind: string, nominal: number | null, mark: string | null): string =>
	`${kind}/${nominal ?? ''}/${mark ?? ''}`;

/**
 * The leading colours of a picture in the slots of a design: what leads most goes into what colours most balloons, each as
 * the nearest colour that is sold in every size the slot needs, none of them twice while there is another.
 * @returns a match for as many slots as there are leading colours; a slot no colour is sold for is left out
 */
export function paletteIntoSlots(
	recipe: Pick<Recipe, 'sections' | 'slots'>,
	leads: readonly LeadColour[],
	stock: { readonly materials: readonly Material[]; readonly colours: readonly Colour[] }
): Matched[] {
	const sold = new Map<string, Set<string>>();
	for (const m of stock.materials) {
		if (m.colour === null || m.retired) continue;
		const own = sold.get(m.colour) ?? new Set<string>();
		own.add(bagKey(m.kind, m.kind === 'modelling' ? null : m.nominal, m.mark));
		sold.set(m.colour, own);
	}
	const uses = usesOf(recipe);
	const slots = recipe.slots
		.filter((s) => uses.has(s.id) && !s.any)
		.toSorted((a, b) => uses.get(b.id)!.count - uses.get(a.id)!.count);
	const taken = new Set<string>();
	const found: Matched[] = [];
	let next = 0;
	for (const { id: slot } of slots) {
		const lead = leads[next];
		if (!lead) break;
		const bags = [...uses.get(slot)!.bags];
		const may = stock.colours
			.filter((c) => !c.of && bags.every((b) => sold.get(c.id)?.has(b)))
			.map((colour) => ({ colour, distance: colourDistance(colour.hex, lead.hex) }))
			.sort((a, b) => a.distance - b.distance);
		const best = may.find((m) => !taken.has(m.colour.id)) ?? may[0];
		if (!best) continue;
		taken.add(best.colour.id);
		found.push({ slot, lead, ...best });
		next++;
	}
	return found;
}
