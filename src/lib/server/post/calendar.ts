import type { FrozenQuote } from '../../core/quote/frozen.ts';
import { createEvent } from 'ics';

/** The event of an order, as a whole day: the calendar day alone is known. */
export interface EventDay {
	readonly id: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
	readonly title: string;
	readonly where: string;
	readonly about: string;
	readonly made: Date;
}

/** An iCalendar file (RFC 5545) of one whole day. @returns nothing where the day is none */
export function calendarFile({ id, day, title, where, about, made }: EventDay): string | undefined {
	const [year, month, date] = day.split('-').map(Number) as [number, number, number];
	const { value } = createEvent({
		uid: `${id}@bright-tally.invalid`,
		productId: 'bright-tally',
		start: [year, month, date],
		duration: { days: 1 },
		title,
		location: where,
		description: about,
		created: made.getTime(),
		status: 'CONFIRMED',
		busyStatus: 'BUSY'
	});
	return value ?? undefined;
}

/** The day of a quote for its client's calendar. @returns nothing where no day is settled */
export const dayFile = (frozen: FrozenQuote, made: Date): string | undefined =>
	frozen.eventDate === null
		? undefined
		: calendarFile({
				id: `quote-${frozen.number}`,
				day: frozen.eventDate,
				title: `${frozen.occasion || 'Balloons'}, ${frozen.business.name}`,
				where: frozen.venue,
				about: `Quote ${frozen.number}. ${frozen.business.phone}`,
				made
			});
