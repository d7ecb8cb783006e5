import { dayNumber, dayOfNumber } from '$lib/core/units/calendar-day.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { periodOf } from './period.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const period = periodOf(url, today);
	const year = today.slice(0, 4);
	const last = String(Number(year) - 1);
	return {
		period,
		usual: [
			{ says: 'the last 12 months', from: dayOfNumber(dayNumber(today) - 365), to: today },
			{ says: year, from: `${year}-01-01`, to: today },
			{ says: last, from: `${last}-01-01`, to: `${last}-12-31` },
			{ says: 'all of it', from: '2000-01-01', to: today }
		],
		answers: await locals.work('numbers page', { period, today }),
		// Said when it is worked out: the page is there before.
		cash: locals.work('cash ahead', { today }).catch(() => null),
		formats: { decimal: settings.decimal, dates: settings.dates },
		currency: settings.rates.currency
	};
};
