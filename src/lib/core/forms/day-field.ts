import { got, refuse } from '../errors.ts';
import type { Field } from './fields.ts';

/** A day of the calendar, `YYYY-MM-DD`; a blank is none. */
export const dayField = (what: string): Field<string | null> => ({
	read: (text) =>
		text.trim() === ''
			? got(null)
			: /^\d{4}-\d{2}-\d{2}$/.test(text.trim()) && !Number.isNaN(Date.parse(text))
				? got(text.trim())
				: refuse('refused', `${what} is a day. Pick it from the calendar, or leave it blank.`)
});
