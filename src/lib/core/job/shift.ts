import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { eventDay, type JobDay } from './job.ts';

/** The same days for an event on another day: everything moves as far as it does. An event without a day moves nothing. */
export function shifted(days: readonly JobDay[], to: string): JobDay[] {
	const event = eventDay(days);
	if (event === undefined) return [...days];
	const by = dayNumber(to) - dayNumber(event);
	return days.map((d) => ({ ...d, day: dayOfNumber(dayNumber(d.day) + by) }));
}
