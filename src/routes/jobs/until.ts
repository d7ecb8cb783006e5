import { dayNumber, dayOfNumber, isDay } from '$lib/core/units/calendar-day.ts';

/** How far ahead is bought for where nobody says, and at most, days. */
const [USUAL, MOST] = [28, 366];

/** The last day that is bought for, out of an address. @param today `YYYY-MM-DD` */
export function untilOf({ searchParams }: URL, today: string): string {
	const asked = searchParams.get('until') ?? '';
	const days = isDay(asked) ? dayNumber(asked) - dayNumber(today) : USUAL;
	return dayOfNumber(dayNumber(today) + Math.min(MOST, Math.max(0, days)));
}
