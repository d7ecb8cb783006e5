import { z } from 'zod';
import { colourSchema, materialSchema } from '../materials/material.schema.ts';
import type { Colour, Material } from '../materials/material.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';

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

/** Guards {@link TallyRequest}: posts to the tally interface, and the file of `npm run tally`. */
export const tallyRequestSchema = z.strictObject({
	recipe: recipeSchema,
	colourway: z.string().max(80).nullable().default(null),
	size: z.string().max(80).nullable().default(null),
	quantity: z.number().int().min(1).max(999).default(1),
	materials: z.array(materialSchema).max(5000).nullable().default(null),
	colours: z.array(colourSchema).max(2000).nullable().default(null),
	designs: z.record(id, recipeSchema).nullable().default(null)
}) satisfies z.ZodType<TallyRequest, unknown>;
