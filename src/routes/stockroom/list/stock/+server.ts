import { json } from '@sveltejs/kit';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** What a list is matched with: asked for once there is a list, because it may be large. */
export const GET: RequestHandler = async ({ locals }) => {
	const { materials, colours } = await loadStudio(locals.repos);
	return json({ materials, colours });
};
