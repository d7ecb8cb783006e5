import { CalendarDateTime, parseDateTime, toZoned } from '@internationalized/date';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { entryTitle, spanOf } from '../../core/job/calendar.ts';
import type { JobDay } from '../../core/job/job.ts';

/** A day of a job as it goes into a calendar. */
export interface JobEntry {
	readonly job: string;
	readonly day: JobDay;
	readonly client: string;
	readonly who: readonly string[];
	readonly where: string;
	readonly about: string;
	/** IANA name of the venue's zone. */
	readonly zone: string;
}

const parts = ({ year, month, day }: CalendarDateTime): [number, number, number] => [year, month, day];

/** An iCalendar file (RFC 5545) of days of jobs: hours in universal time, so that every calendar shows them as they are there. */
export function jobsCalendar(entries: readonly JobEntry[], made: Date): string {
	const events = entries.map(({ job, day, client, who, where, about, zone }): EventAttributes => {
		const { start, end, allDay } = spanOf(day);
		const at = (text: string): DateArray => {
			if (allDay) return parts(parseDateTime(`${text}T00:00`));
			const date = toZoned(parseDateTime(text), zone).toDate();
			return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
		};
		return {
			uid: `${job}.${day.id}@bright-tally.invalid`,
			productId: 'bright-tally',
			title: entryTitle(day.stage, client, who),
			start: at(start),
			end: at(end),
			startInputType: 'utc',
			endInputType: 'utc',
			location: where,
			description: about,
			created: made.getTime(),
			busyStatus: day.stage === 'event' ? 'FREE' : 'BUSY'
		};
	});
	if (events.length === 0) return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:bright-tally', 'END:VCALENDAR', ''].join('\r\n');
	const { value, error } = createEvents(events, { productId: 'bright-tally' });
	if (!value) throw new Error('The calendar could not be written.', { cause: error });
	return value;
} // prettier-ignore
