import { json } from '@sveltejs/kit';
import { touchedBy } from '$lib/server/services/nesting.ts';
import type { RequestHandler } from './$types';

/** The designs that keeping this working copy would change, with what they cost before and after. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) return json({ message: 'There is no such design.' }, { status: 404 });
	return json(await touchedBy(locals.repos, design.id, design.recipe));
};
