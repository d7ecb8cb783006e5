import { error, json } from '@sveltejs/kit';
import { dayNumber, isDay } from '$lib/core/units/calendar-day.ts';
import { calendarBetween } from '$lib/server/services/job-calendar.ts';
import type { RequestHandler } from './$types';

/** Longest stretch that is asked for at once, days. */
const MOST = 100;

/** What is in the calendar between two days, both included. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const [from, to] = [url.searchParams.get('from') ?? '', url.searchParams.get('to') ?? ''];
	if (!isDay(from) || !isDay(to) || dayNumber(to) - dayNumber(from) > MOST || to < from)
		error(400, { message: 'Ask for up to 100 days, from one day to another.' });
	return json(await calendarBetween(locals.repos, from, to));
};
