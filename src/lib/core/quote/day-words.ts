/** A calendar day has no hour, so no time zone can move it: it is read and said at noon, UTC. */
const noon = (day: string): Date => new Date(`${day}T12:00:00Z`);
const words = (weekday: 'short' | 'long', month: 'short' | 'long') =>
	new Intl.DateTimeFormat('en-US', { weekday, month, day: 'numeric', year: 'numeric', timeZone: 'UTC' });
const [short, long] = [words('short', 'short'), words('long', 'long')];

/** `Sat, Jun 12, 2027`. @param day `YYYY-MM-DD` */
export const dayWords = (day: string): string => short.format(noon(day));
/** `Saturday, June 12, 2027`. @param day `YYYY-MM-DD` */
export const longDayWords = (day: string): string => long.format(noon(day));
