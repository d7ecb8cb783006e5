import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { colourSchema, filedMaterialSchema } from '$lib/core/materials/material.schema.ts';
import { recipeSchema } from '$lib/core/recipe/recipe.schema.ts';
import { readJson } from '$lib/server/answers.ts';
import type { RequestHandler } from './$types';

const brought = z.strictObject({
	colours: z.array(colourSchema).max(2000),
	materials: z.array(filedMaterialSchema).max(5000),
	designs: z.array(z.strictObject({ id: z.string().regex(/^[\w.-]{1,60}$/), recipe: recipeSchema })).max(200)
});

/** Takes in a part of a file: what the Stockroom lacks first, then designs. Sending a part again changes nothing. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readJson(request, brought);
	if ('answer' in read) return read.answer;
	const { designs, ...stock } = read.value;
	await locals.repos.stock.bring(stock);
	return json({ brought: await locals.repos.designs.bring(designs, new Date()) });
};
