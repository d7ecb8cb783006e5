import { MICROMETRES } from '../../units/length.ts';
import type { Colour } from '../../materials/material.ts';
import type { EntryContext } from '../context.ts';

/** A design stays the same while a line is typed. */
const counted = new WeakMap<object, number[]>();

/** Bags of the design in hand, the one used most first; then those every studio has. */
export function bagsUsed({ recipe }: EntryContext): number[] {
	const before = recipe && counted.get(recipe.sections);
	if (before) return before;
	const times = new Map<number, number>();
	for (const [, um] of JSON.stringify(recipe?.sections ?? []).matchAll(/"nominal":(\d+)/g)) {
		const bag = Number(um) / MICROMETRES.in;
		times.set(bag, (times.get(bag) ?? 0) + 1);
	}
	const own = [...times].sort((a, b) => b[1] - a[1]).map(([bag]) => bag);
	const bags = [...new Set([...own, 11, 5, 16])].slice(0, 4);
	if (recipe) counted.set(recipe.sections, bags);
	return bags;
}

/** A colour as it is said in full. */
export const nameHeld = (colour: Colour | undefined): string | undefined =>
	colour && (colour.finish === 'matte' ? colour.name : `${colour.name} ${colour.finish}`);

/** Colours of the design in hand by the words that say them, the last met first; then some of the Stockroom. */
export function coloursUsed({ slots, colours, colourway }: EntryContext): string[] {
	const own = slots
		.map((s) => nameHeld(colours.find((c) => c.id === colourway?.fills[s.id])) ?? s.name)
		.reverse();
	return [...new Set([...own, ...colours.slice(0, 3).map((c) => c.name)])].slice(0, 4);
}
