import { entryTitle, spanOf, type CalendarEntry } from '../../core/job/calendar.ts';
import type { JobDay } from '../../core/job/job.ts';
import type { JobRow } from '../repos/jobs.ts';
import type { Repos } from '../repos/index.ts';
import { loadStudio } from './studio.ts';

/** Days of a job for a calendar: as they are said, else its event alone, for nothing is worked out here. */
export const daysShown = ({ said, day }: JobRow): readonly JobDay[] =>
	said?.days ??
	(day === null ? [] : [{ id: 'event', stage: 'event', day, from: null, to: null, people: [], note: '' }]);

/** What is in the calendar between two days, both included: days of jobs, what comes, what was brought in. */
export async function calendarBetween(repos: Repos, from: string, to: string): Promise<CalendarEntry[]> {
	const studio = await loadStudio(repos);
	const names = new Map(studio.settings.rates.people.map((p) => [p.id, p.name]));
	const materials = new Map(studio.materials.map((m) => [m.id, m.name]));
	const [rows, others, orders] = await Promise.all([
		repos.jobs.between(from, to),
		repos.jobs.otherEvents(from, to),
		repos.onOrders.open()
	]);
	const within = (day: string) => day >= from && day <= to;
	return [
		...rows.flatMap((row) =>
			daysShown(row)
				.filter((d) => within(d.day))
				.map((d): CalendarEntry => ({
					id: `${row.id}/${d.id}`,
					kind: d.stage,
					title: entryTitle(d.stage, row.client, d.people.map((p) => names.get(p) ?? '?')),
					href: `/jobs/${row.id}`,
					...spanOf(d)
				}))
		),
		...orders.flatMap(({ id, material, due }): CalendarEntry[] =>
			due !== null && within(due)
				? [{ id: `comes/${id}`, kind: 'comes', title: `Comes: ${materials.get(material) ?? 'something that is gone'}`, href: null, ...spanOf({ day: due, from: null, to: null }) }]
				: []
		),
		...others.map(({ uid, calendar, title, firstDay, lastDay, fromMinute, toMinute }): CalendarEntry => ({
			id: `other/${calendar}/${uid}`,
			kind: 'other',
			title,
			href: null,
			...(fromMinute === null
				? { start: firstDay, end: spanOf({ day: lastDay, from: null, to: null }).end, allDay: true }
				: spanOf({ day: firstDay, from: fromMinute, to: toMinute }))
		}))
	];
} // prettier-ignore
