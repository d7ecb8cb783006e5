import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';

/** How many days a client's link opens after all it is about is over: papers are asked for until then. Common practice. */
export const LINK_HOLDS = 180;

/** The last day a client's link opens: so long after the event, or after the offer lapsed where no day was said. */
export const linkHoldsUntil = ({
	eventDate,
	validUntil
}: {
	readonly eventDate: string | null;
	readonly validUntil: string;
}): string => {
	const last = eventDate !== null && eventDate > validUntil ? eventDate : validUntil;
	return dayOfNumber(dayNumber(last) + LINK_HOLDS);
};
