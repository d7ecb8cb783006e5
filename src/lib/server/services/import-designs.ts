import { z } from 'zod';
import { readAs, type ReadAs } from '../../core/first-issue.schema.ts';
import { colourSchema, filedMaterialSchema } from '../../core/materials/material.schema.ts';
import { recipeSchema } from '../../core/recipe/recipe.schema.ts';

const brought = z.strictObject({
	colours: z.array(colourSchema).max(2000),
	materials: z.array(filedMaterialSchema).max(5000),
	designs: z.array(z.strictObject({ id: z.string().regex(/^[\w.-]{1,60}$/), recipe: recipeSchema })).max(200)
});
export type Brought = z.infer<typeof brought>;

/** Reads a part of a file of designs, megabytes long; or says what is wrong with it. */
export const readBrought = (body: string): ReadAs<Brought> => readAs(body, brought);
