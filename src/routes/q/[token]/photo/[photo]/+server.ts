import { error } from '@sveltejs/kit';
import { photoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

/** A photo a client's link may see: one that the quote shows. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (!found?.frozen.lines.some((l) => l.photo === params.photo))
		error(404, { message: 'There is no such photo.' });
	return photoAnswer(locals.repos, params.photo, 'shown in a sent quote');
};
