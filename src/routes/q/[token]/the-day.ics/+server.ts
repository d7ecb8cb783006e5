import { error } from '@sveltejs/kit';
import { dayFile } from '$lib/server/post/calendar.ts';
import type { RequestHandler } from './$types';

/** The day of an order for the client's calendar. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	const body = found && dayFile(found.frozen, new Date(found.frozen.sentAt));
	if (!body) error(404, { message: 'There is no day to put into a calendar.' });
	return new Response(body, {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="the-day.ics"'
		}
	});
};
