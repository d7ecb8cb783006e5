import { error } from '@sveltejs/kit';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const day = params.day === 'today' ? today : params.day;
	if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || Number.isNaN(Date.parse(day)))
		error(404, { message: 'There is no such day.', hint: 'Find it in the calendar under Jobs.' });
	return { ...(await locals.work('day page', { day })), today };
};
