import type { Extras } from '../recipe/recipe.ts';
import { rational } from '../units/rational.ts';
import type { StructureDefinition } from './structure.ts';

/** Florals, fabric, paint, print, hire: lines that nothing works out. */
export const extras = {
	id: 'extras',
	words: 'extras',
	balloons: () => 0,
	needs: ({ lines }) =>
		lines.map((line) => ({
			what: 'material' as const,
			material: line.material,
			label: 'extra',
			quantity: rational(line.quantity)
		})),
	tasks: ({ lines }) =>
		lines.length === 0 ? [] : [{ task: 'place extras', method: 'hole', count: lines.length, batches: 0 }]
} satisfies StructureDefinition<Extras>;
