import { got, refuse, type Parsed } from '../errors.ts';
import { dayField } from '../forms/day-field.ts';
import { as, choice, held, words, type Field, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import { dayNumber } from '../units/calendar-day.ts';
import { PLACE_FIELDS, STAGES, type JobDay, type JobPlace } from './job.ts';

/** An hour of the day, `9:30` or `14.05`, as minutes after midnight; a blank is not settled. */
export const hourField = (what: string): Field<number | null> => ({
	read(text): Parsed<number | null> {
		const typed = text.trim().toLowerCase();
		if (typed === '') return got(null);
		const found = /^(\d{1,2})(?:[:.h](\d{2}))?(?::\d{2})?\s*(am|pm|a\.m\.|p\.m\.)?$/.exec(typed);
		const half = found?.[3]?.[0];
		const hour = Number(found?.[1]);
		const minute = Number(found?.[2] ?? 0);
		if (!found || minute > 59 || (half ? hour < 1 || hour > 12 : hour > 23))
			return refuse('refused', `${what} is an hour of the day, such as 9:30 or 14:00; blank is not settled.`);
		const of24 = half === undefined ? hour : (hour % 12) + (half === 'p' ? 12 : 0);
		return got(of24 * 60 + minute);
	}
});

/** Minutes after midnight as they are typed: `09:30`; not settled is blank. */
export const printHour = (minutes: number | null): string =>
	minutes === null ? '' : `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`; // prettier-ignore

/** So far from today a job is planned at most, days: further is a slip of the pen. */
const FAR = 366 * 6;

/**
 * Reads one day of a job. @param people who there is: ids that are ticked, each a field `person-…`
 * @returns the day without its id, or a sentence for each field that cannot be read
 */
export function readDay(
	typed: Fields,
	{ people, today }: { readonly people: readonly string[]; readonly today: string },
	context: FormContext
): { readonly ok: true; readonly day: Omit<JobDay, 'id'> } | { readonly ok: false; readonly errors: Errors } {
	const read = readForm(
		{
			stage: choice(STAGES, { say: 'Choose what is done on it.' }),
			day: held(as(dayField('The day'), (day) => day ?? ''), (day) =>
				day === ''
					? 'On which day? Pick it from the calendar.'
					: Math.abs(dayNumber(day) - dayNumber(today)) > FAR
						? 'That day is years away. Look at its year again.'
						: undefined
			),
			from: hourField('The beginning'),
			to: hourField('The end'),
			note: words({ what: 'A note', most: 300 })
		},
		typed,
		context
	);
	if (!read.ok) return read;
	const { from, to } = read.values;
	if (from === null && to !== null) return { ok: false, errors: { from: 'From when? Type the hour it begins, or leave both blank.' } };
	if (from !== null && from === to) return { ok: false, errors: { to: 'It ends when it begins. Type a later hour, or leave the end blank.' } };
	return { ok: true, day: { ...read.values, people: people.filter((id) => typed[`person-${id}`] !== undefined) } };
} // prettier-ignore

const PLACE_WORDS: Readonly<Record<keyof JobPlace, readonly [what: string, most: number]>> = {
	address: ['The address', 300],
	access: ['How one gets in', 1000],
	parking: ['Where one parks', 1000],
	floors: ['Floors and lifts', 300],
	contact: ['Who is called', 120],
	phone: ['The telephone number', 60]
};
/** How fields of the place are called on the screen. */
export const placeLabel = (field: keyof JobPlace): string => PLACE_WORDS[field][0];

/** Reads the place of a job and what is noted of it. */
export function readPlace(
	typed: Fields,
	context: FormContext
): { readonly ok: true; readonly place: JobPlace; readonly note: string } | { readonly ok: false; readonly errors: Errors } {
	const fields = Object.fromEntries(PLACE_FIELDS.map((f) => [f, words({ what: PLACE_WORDS[f][0], most: PLACE_WORDS[f][1] })])); // prettier-ignore
	const read = readForm({ ...fields, note: words({ what: 'The note', most: 2000 }) }, typed, context);
	if (!read.ok) return read;
	const { note, ...place } = read.values as Record<keyof JobPlace | 'note', string>;
	return { ok: true, place, note };
} // prettier-ignore
