import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ locals, params, url }) => {
	const how = url.searchParams.get('on') === 'leaving' ? 'leaving' : 'button';
	const kept = await locals.repos.designs.keep(params.design, new Date(), how);
	return kept ? json(kept) : json({ message: 'There is no such design.' }, { status: 404 });
};
