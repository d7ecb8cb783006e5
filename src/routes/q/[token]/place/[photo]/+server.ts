import { error } from '@sveltejs/kit';
import { placePhotoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

/** The photo of the client's own place, where the quote shows it. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (found?.frozen.place?.photo !== params.photo) error(404, { message: 'There is no such photo.' });
	return placePhotoAnswer(locals.repos, params.photo);
};
