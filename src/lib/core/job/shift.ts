import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { eventDay, type JobDay } from './job.ts';

/** The same days for an event on another day: everything moves as far as it does. An event without a day moves nothing. */
export function shifted(days: readonly JobDay[], to: string): JobDay[] {
	const event = eventDay(days);
	if (event === undefined) return [...days];
	const by = dayNumber(to) - dayNumber(event);
	return days.map((d) => ({ ...d, day: dayOfNumber(dayNumber(d.day) + by) }));
}

/** 52 weeks: the same day of the week. */
const YEAR = 364;

/** The same day of the week a year on, or as many years on as it takes to be ahead. @param day of the event @param today calendar days */
export function nextYear(day: string, today: string): string {
	const [from, now] = [dayNumber(day), dayNumber(today)];
	const years = Math.max(1, Math.floor((now - from) / YEAR) + 1);
	return dayOfNumber(from + years * YEAR);
}
