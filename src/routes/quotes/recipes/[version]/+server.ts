import { json } from '@sveltejs/kit';
import { recipePage } from '$lib/server/services/quoting.ts';
import type { RequestHandler } from './$types';

/** The recipe of a kept version with every design inside it: what a quote needs to price one more line. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await recipePage(locals.repos, [params.version]);
	return found.recipes.length > 0
		? json(found)
		: json({ message: 'That design is not kept any more. Choose another.' }, { status: 404 });
};
