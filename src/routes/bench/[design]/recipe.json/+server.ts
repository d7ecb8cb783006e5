import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The working copy as a recipe file. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.' });
	const name =
		design.recipe.name
			.toLowerCase()
			.replace(/[^a-z0-9]+/g, '-')
			.replace(/^-|-$/g, '') || 'recipe';
	return new Response(JSON.stringify(design.recipe, null, '\t'), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}.recipe.json"`
		}
	});
};
