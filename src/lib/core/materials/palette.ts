import { colourDistance } from './colour-distance.ts';
import type { Colour, Material } from './material.ts';

/** Colours in the order they are looked through: those there are balloons of, then all others. */
export interface Palette {
	/** There are balloons of these. */
	readonly stocked: readonly Colour[];
	readonly others: readonly Colour[];
}

/**
 * Sorts the colours of the Stockroom for picking: what is in stock first; each part from the nearest to a colour on.
 * @param near `#rrggbb`; undefined keeps the order of the Stockroom
 */
export function palette(colours: readonly Colour[], materials: readonly Material[], near?: string): Palette {
	const bought = new Set<string>();
	for (const m of materials) if (m.colour !== null && m.kind.startsWith('latex')) bought.add(m.colour);
	const far = new Map(near === undefined ? [] : colours.map((c) => [c.id, colourDistance(c.hex, near)]));
	const sorted = near === undefined ? colours : [...colours].sort((a, b) => far.get(a.id)! - far.get(b.id)!);
	return {
		stocked: sorted.filter((c) => bought.has(c.id)),
		others: sorted.filter((c) => !bought.has(c.id))
	};
}
