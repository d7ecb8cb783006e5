import { error } from '@sveltejs/kit';
import { calendarFile } from '$lib/server/post/calendar.ts';
import type { RequestHandler } from './$types';

/** The day of an order for the client's calendar. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	const day = found?.frozen.eventDate;
	if (!found || !day) error(404, { message: 'There is no day to put into a calendar.' });
	const { frozen } = found;
	const body = calendarFile({
		id: `quote-${frozen.number}`,
		day,
		title: `${frozen.occasion || 'Balloons'}, ${frozen.business.name}`,
		where: frozen.venue,
		about: `Quote ${frozen.number}. ${frozen.business.phone}`,
		made: new Date(frozen.sentAt)
	});
	return new Response(body, {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="the-day.ics"'
		}
	});
};
