import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { minutesOf, STAGE_WORDS, type JobDay, type Stage } from './job.ts';

/** What a thing in the calendar is. */
export type EntryKind = Stage | 'comes' | 'other';

/** Something in the calendar of a studio. */
export interface CalendarEntry {
	readonly id: string;
	readonly kind: EntryKind;
	readonly title: string;
	/** `2027-05-01` where it is the whole day, else `2027-05-01T09:30`. */
	readonly start: string;
	/** The first moment after it, written the same way. */
	readonly end: string;
	readonly allDay: boolean;
	/** Where it is looked at; null is nowhere. */
	readonly href: string | null;
}

const clock = (minutes: number) =>
	`${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
/** A moment of the day so many days on. */
const moment = (day: string, minutes: number): string => {
	const over = Math.floor(minutes / 1440);
	return `${dayOfNumber(dayNumber(day) + over)}T${clock(minutes - over * 1440)}`;
}; // prettier-ignore

/** When something of a day begins and ends: the whole day where its hours are not settled. */
export function spanOf({ day, from, to }: Pick<JobDay, 'day' | 'from' | 'to'>): Pick<CalendarEntry, 'start' | 'end' | 'allDay'> {
	if (from === null) return { start: day, end: dayOfNumber(dayNumber(day) + 1), allDay: true };
	// Of what has no end an hour is shown.
	return { start: moment(day, from), end: moment(day, from + (minutesOf({ from, to }) ?? 60)), allDay: false };
} // prettier-ignore

/** What a day of a job is called in a calendar. */
export const entryTitle = (stage: Stage, client: string, who: readonly string[]): string =>
	[stage === 'event' ? client : `${STAGE_WORDS[stage]}: ${client}`, who.join(', ')]
		.filter(Boolean)
		.join(' · ');
