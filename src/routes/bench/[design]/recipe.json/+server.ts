import { error } from '@sveltejs/kit';
import { fileName } from '$lib/server/file-name.ts';
import type { RequestHandler } from './$types';

/** The working copy as a recipe file. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.' });
	return new Response(JSON.stringify(design.recipe, null, '\t'), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${fileName(design.recipe.name, 'recipe')}.recipe.json"`
		}
	});
};
