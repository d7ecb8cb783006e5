import { dayNumber, dayOfNumber } from '$lib/core/units/calendar-day.ts';
import { jobsCalendar } from '$lib/server/post/jobs-calendar.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { daysShown } from '$lib/server/services/job-calendar.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** How far back and ahead jobs go into the file, days. */
const [BACK, AHEAD] = [92, 731];

/** Every day of every job as an iCalendar file. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayNumber(dayIn(settings.zone));
	const rows = await locals.repos.jobs.between(dayOfNumber(today - BACK), dayOfNumber(today + AHEAD));
	const names = new Map(settings.rates.people.map((p) => [p.id, p.name]));
	const entries = rows.flatMap((row) =>
		daysShown(row).map((day) => ({
			job: row.id,
			day,
			client: row.client,
			who: day.people.map((p) => names.get(p) ?? '?'),
			where: row.said?.place.address || row.venue,
			about: [row.occasion, `${url.origin}/jobs/${row.id}`].filter(Boolean).join('\n'),
			zone: row.zone
		}))
	);
	return new Response(jobsCalendar(entries, new Date()), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="jobs.ics"'
		}
	});
};
