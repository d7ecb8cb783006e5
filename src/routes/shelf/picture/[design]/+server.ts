import { error } from '@sveltejs/kit';
import { shelfPicture } from '$lib/server/services/shelf.ts';
import type { RequestHandler } from './$types';

/** A design's picture as the Shelf shows it. Its address changes with what it shows, so it is kept for good. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const svg = await shelfPicture(locals.repos, locals.work, {
		design: params.design,
		at: url.searchParams.get('at') ?? ''
	});
	if (!svg) error(404, { message: 'There is no picture of that.' });
	return new Response(svg, {
		headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, max-age=31536000, immutable' }
	});
};
