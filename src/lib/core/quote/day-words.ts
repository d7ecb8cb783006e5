import type { DateStyle, Formats } from '../workspace/formats.ts';

/** A calendar day has no hour, so no time zone can move it: it is read and said at noon, UTC. */
const noon = (day: string): Date => new Date(`${day}T12:00:00Z`);
type Length = 'short' | 'long';
/** The words of a day, put together here: makers of browsers part them otherwise from year to year. */
function wordsOf(length: Length) {
	const parts = new Intl.DateTimeFormat('en-US', { weekday: length, month: length, day: 'numeric', year: 'numeric', timeZone: 'UTC' }); // prettier-ignore
	return (day: string) => {
		const own = new Map(parts.formatToParts(noon(day)).map(({ type, value }) => [type, value]));
		const [weekday, month, date, year] = (['weekday', 'month', 'day', 'year'] as const).map((t) =>
			own.get(t)
		);
		return { weekday, month, date, year };
	};
}
type Words = ReturnType<ReturnType<typeof wordsOf>>;
const WRITTEN: Readonly<Record<DateStyle, (words: Words, day: string) => string>> = {
	'month first': ({ weekday, month, date, year }) => `${weekday}, ${month} ${date}, ${year}`,
	'day first': ({ weekday, month, date, year }) => `${weekday} ${date} ${month} ${year}`,
	'year first': ({ weekday }, day) => `${weekday} ${day}`
};
const WORDS = { short: wordsOf('short'), long: wordsOf('long') };

/** How days are written where nobody said. */
type Dates = Pick<Formats, 'dates'> | undefined;

/** `Sat, Jun 12, 2027`; day first `Sat 12 Jun 2027`; year first `Sat 2027-06-12`. @param day `YYYY-MM-DD` */
export const dayWords = (day: string, formats?: Dates): string =>
	WRITTEN[formats?.dates ?? 'month first'](WORDS.short(day), day);
/** `Saturday, June 12, 2027`, or as days are written there. @param day `YYYY-MM-DD` */
export const longDayWords = (day: string, formats?: Dates): string =>
	WRITTEN[formats?.dates ?? 'month first'](WORDS.long(day), day);
