import { dayNumber, dayOfNumber, isDay } from '$lib/core/units/calendar-day.ts';
import type { Period } from '$lib/server/repos/job-figures.ts';

/** Days that are looked back over where nobody says. */
const YEAR = 365;

/**
 * The days numbers are asked for, out of an address: the last year where nobody says. The later of two days is the last.
 * @param today `YYYY-MM-DD`
 */
export function periodOf({ searchParams }: URL, today: string): Period {
	const asked = (name: string, usual: string) => {
		const own = searchParams.get(name) ?? '';
		return isDay(own) ? own : usual;
	};
	const from = asked('from', dayOfNumber(dayNumber(today) - YEAR));
	const to = asked('to', today);
	return from <= to ? { from, to } : { from: to, to: from };
}
