import { json } from '@sveltejs/kit';
import { loadLibrary } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** A kept design with all that it uses: what the Bench needs to count it inside another. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const kept = await locals.repos.designs.lastKept(url.searchParams.get('of') ?? '');
	if (!kept) return json({ message: 'That design is not kept. Keep it first.' }, { status: 404 });
	return json([[kept.design, kept.recipe], ...(await loadLibrary(locals.repos, kept.recipe))]);
};
