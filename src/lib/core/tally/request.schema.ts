import { z } from 'zod';
import { reuseSchema } from '../materials/material.schema.ts';
import { FINISHES, MATERIAL_KINDS, type Colour, type Material } from '../materials/material.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Micrometres } from '../units/length.ts';

/** What may be asked of the tally: a recipe, which of the things it can be, and what it is made of. */
export interface TallyRequest {
	readonly recipe: Recipe;
	/** Id or name; without one the first. */
	readonly colourway: string | null;
	/** Id or name; without one as it stands. */
	readonly size: string | null;
	readonly quantity: number;
	/** Instead of the Stockroom. */
	readonly materials: readonly Material[] | null;
	readonly colours: readonly Colour[] | null;
	/** Designs it uses, by their ids, instead of the kept ones. */
	readonly designs: Readonly<Record<string, Recipe>> | null;
}

const id = z.string().min(1).max(64);
const length = z
	.number()
	.int()
	.min(1)
	.max(200_000_000)
	.transform((v) => v as Micrometres);
const material = z.strictObject({
	id,
	kind: z.enum(MATERIAL_KINDS),
	name: z.string().min(1).max(120),
	nominal: length.nullable(),
	colour: id.nullable(),
	safe: length.nullable(),
	loss: z
		.string()
		.regex(/^0$|^\d{1,6}\/[1-9]\d{0,6}$/, 'A loss is a share, like "1/25", or null.')
		.refine(
			(text) => text === '0' || Number(text.split('/')[0]) < Number(text.split('/')[1]),
			'A loss is under 1.'
		)
		.nullable(),
	reuse: reuseSchema.nullable(),
	unit: z.string().max(20),
	packs: z
		.array(
			z.strictObject({
				id,
				supplier: z.string().max(120),
				count: z.number().int().min(1).max(1_000_000),
				priceMinor: z.number().int().min(0).max(1_000_000_000).nullable()
			})
		)
		.max(50)
});
const colour = z.strictObject({
	id,
	name: z.string().min(1).max(80),
	finish: z.enum(FINISHES),
	hex: z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is #rrggbb.')
});

/** Guards {@link TallyRequest}: posts to the tally interface, and the file of `npm run tally`. */
export const tallyRequestSchema = z.strictObject({
	recipe: recipeSchema,
	colourway: z.string().max(80).nullable().default(null),
	size: z.string().max(80).nullable().default(null),
	quantity: z.number().int().min(1).max(999).default(1),
	materials: z.array(material).max(5000).nullable().default(null),
	colours: z.array(colour).max(2000).nullable().default(null),
	designs: z.record(id, recipeSchema).nullable().default(null)
}) satisfies z.ZodType<TallyRequest, unknown>;
