import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { markOf } from '$lib/core/files/import-plan.ts';
import { readJson } from '$lib/server/answers.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

const asked = z.strictObject({ ids: z.array(z.string().min(1).max(64)).max(2000) });

/** What is here already of what a file brings: its designs by a mark of what they say, and the whole Stockroom by name. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readJson(request, asked);
	if ('answer' in read) return read.answer;
	const [studio, { designs }] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.designs.those(read.value.ids)
	]);
	return json({
		colours: studio.colours,
		materials: studio.materials.map(({ id, name, kind }) => ({ id, name, kind })),
		designs: designs.map(({ id, recipe }) => [id, { name: recipe.name, mark: markOf(recipe) }])
	});
};
