import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Designs as one file, `design` once for each, every one without; what they use goes with them. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const asked = url.searchParams.getAll('design').slice(0, 2000);
	const { text, name, many, left } = await locals.work('recipes file', { asked });
	if (many === 0 && left.length > 0)
		error(422, { message: `${left.join(', ')} cannot be read any more, so there is nothing to take.` });
	if (many === 0) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	return new Response(text, {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}.recipes.json"`
		}
	});
};
