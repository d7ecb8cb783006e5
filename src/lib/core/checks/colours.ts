import { colourDistance } from '../materials/colour-distance.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { slotsOfParts } from '../structures/registry/refs.ts';
import type { Colourway } from '../document/slot.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Finding } from './finding.ts';

/** Two colours nearer than this are taken for one. Common practice. */
export const ALIKE = 5;

/** Slots named by one row, piece or item only whose colour can hardly be told from another slot's. */
export function checkColours(
	recipe: Recipe,
	colourway: Colourway | undefined,
	catalogue: Catalogue
): Finding[] {
	if (!colourway) return [];
	const rows = new Map<string, number>();
	for (const slots of recipe.sections.flatMap((s) => slotsOfParts(s.structure)))
		for (const slot of new Set(slots)) rows.set(slot, (rows.get(slot) ?? 0) + 1);
	const seen = recipe.slots.flatMap((slot) => {
		const colour = catalogue.colours.get(colourway.fills[slot.id] ?? '');
		return colour ? [{ slot, colour, rows: rows.get(slot.id) ?? 0 }] : [];
	});
	return seen.flatMap((a, i) => {
		if (a.rows !== 1) return [];
		// Of two that are both used once, the later is the one that can go.
		const near = seen.find(
			(b, j) =>
				j !== i &&
				b.rows > 0 &&
				(b.rows > 1 || j < i) &&
				a.colour.finish === b.colour.finish &&
				colourDistance(a.colour.hex, b.colour.hex) < ALIKE
		);
		if (!near) return [];
		return [
			{
				about: a.slot.id,
				code: 'slots-alike' as const,
				level: 'watch' as const,
				say: `${a.slot.name}: ${a.colour.name} is used in one row and can hardly be told from ${near.colour.name}.`,
				why: 'Another bag to open, for a colour nobody will see.',
				remedy: {
					label: `Use ${near.slot.name} there`,
					act: { kind: 'slot' as const, from: a.slot.id, to: near.slot.id }
				}
			}
		];
	});
}
