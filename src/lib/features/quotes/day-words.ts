import { CalendarDate, DateFormatter, parseDate } from '@internationalized/date';

const short = new DateFormatter('en-US', {
	weekday: 'short',
	month: 'short',
	day: 'numeric',
	year: 'numeric',
	timeZone: 'UTC'
});
const long = new DateFormatter('en-US', {
	weekday: 'long',
	month: 'long',
	day: 'numeric',
	year: 'numeric',
	timeZone: 'UTC'
});

/** A calendar day in words. It has no hour, so no time zone can move it. */
export const dayWords = (day: string): string => short.format(noonUtc(parseDate(day)));
export const longDayWords = (day: string): string => long.format(noonUtc(parseDate(day)));

const noonUtc = (day: CalendarDate): Date => new Date(Date.UTC(day.year, day.month - 1, day.day, 12));
