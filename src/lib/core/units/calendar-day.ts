/** Whole days in milliseconds. */
export const DAY_MS = 86_400_000;

/** A calendar day as a number: the next day is one more. @param day `2027-05-01` */
export const dayNumber = (day: string): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS;
/** @returns `2027-05-01` */
export const dayOfNumber = (n: number): string => new Date(n * DAY_MS).toISOString().slice(0, 10);
/** Whether a text is a day of the calendar as days are written down: `2027-05-01`. */
export const isDay = (text: string): boolean =>
	/^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));
