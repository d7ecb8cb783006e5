import { error } from '@sveltejs/kit';
import { isDay } from '$lib/core/units/calendar-day.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const day = params.day === 'today' ? today : params.day;
	if (!isDay(day))
		error(404, { message: 'There is no such day.', hint: 'Find it in the calendar under Jobs.' });
	return { ...(await locals.work('day page', { day })), today };
};
