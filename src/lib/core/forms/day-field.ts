import { got, refuse } from '../errors.ts';
import { isDay } from '../units/calendar-day.ts';
import type { Field } from './fields.ts';

/** A day of the calendar, `YYYY-MM-DD`; a blank is none. */
export const dayField = (what: string): Field<string | null> => ({
	read: (text) =>
		text.trim() === ''
			? got(null)
			: isDay(text.trim())
				? got(text.trim())
				: refuse('refused', `${what} is a day. Pick it from the calendar, or leave it blank.`)
});
