import { error } from '@sveltejs/kit';
import { jobPhotoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

/** A picture of the day itself, where the client is shown it. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (found?.state !== 'accepted' || found.isOld) error(404, { message: 'There is no such photo.' });
	return jobPhotoAnswer(locals.repos, found.quoteId, params.photo, true);
};
