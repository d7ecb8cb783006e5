import { parseAbsolute, toCalendarDate, type CalendarDate } from '@internationalized/date';

/** The calendar day it is somewhere at a moment. @param zone IANA name */
export const calendarDayIn = (zone: string, now: Date): CalendarDate =>
	toCalendarDate(parseAbsolute(now.toISOString(), zone));

/** The same as `YYYY-MM-DD`. */
export const dayIn = (zone: string, now = new Date()): string => calendarDayIn(zone, now).toString();
