import { VENUE_AIR, VENUE_HEIGHT } from '../gas/venue.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { parseBounded, parseCount, type NumberStyle } from '../units/number.ts';
import { rationalText } from '../units/rational.ts';
import type { Discount } from '../pricing/terms.ts';
import type { Sun } from '../gas/heat.ts';
import { parseQuantity, type Wanted } from '../units/quantity.ts';
import type { QuoteClimate, QuoteTerms } from './quote.ts';

/** A mild room, K: 68 °F. */
export const ROOM = 293.15;

/** A quote as it stands in its fields: text, as typed. */
export interface RawQuote {
	readonly client: string;
	readonly eventDate: string;
	readonly zone: string;
	readonly occasion: string;
	readonly venue: string;
	readonly setting: 'indoor' | 'outdoor';
	readonly delivery: string;
	readonly deliveryCost: string;
	readonly method: 'margin' | 'markup';
	readonly margin: string;
	readonly markup: string;
	readonly rush: string;
	readonly discountKind: 'none' | 'percent' | 'amount';
	readonly discount: string;
	readonly tax: string;
	readonly deposit: string;
	readonly validDays: string;
	readonly note: string;
	/** Air at the studio and at the venue, its height; blank there is not asked. */
	readonly here: string;
	readonly there: string;
	readonly sun: Sun;
	readonly height: string;
	readonly lines: readonly RawLine[];
}

export interface RawLine {
	readonly id: string;
	readonly versionId: string;
	readonly colourwayId: string;
	readonly sizeId: string;
	readonly quantity: string;
}

export type QuoteField = Exclude<keyof RawQuote, 'lines'> | `quantity ${string}`;

export interface ReadQuote {
	readonly client: string;
	readonly eventDate: string | null;
	readonly zone: string;
	readonly terms: QuoteTerms;
	readonly lines: readonly {
		id: string;
		versionId: string;
		colourwayId: string | null;
		sizeId: string | null;
		quantity: number;
	}[];
}

/** Whether `YYYY-MM-DD` names a day that exists. */
export function isCalendarDay(text: string): boolean {
	const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
	if (!match) return false;
	const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
	const date = new Date(Date.UTC(year, month - 1, day));
	return date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}

/**
 * Reads the fields of a quote, in the browser as they are typed and again at the server.
 * @returns a sentence for each field that cannot be read; `value` where there is none
 */
export function readQuote(
	raw: RawQuote,
	{ currency, style }: { currency: Currency; style: NumberStyle }
): { errors: Partial<Record<QuoteField, string>>; value?: ReadQuote } {
	const errors: Partial<Record<QuoteField, string>> = {};
	const percent = (
		field: 'margin' | 'markup' | 'rush' | 'tax' | 'deposit' | 'discount',
		what: string,
		max: number
	): string => {
		const parsed = parseBounded(raw[field], { what, min: 0, max, unit: ' %' }, style);
		if (parsed.ok) return rationalText(parsed.value);
		errors[field] = parsed.say;
		return '0';
	};
	const amount = (field: 'delivery' | 'deliveryCost' | 'discount', what: string): number => {
		const parsed = parseMoney(raw[field], currency, style);
		if (parsed.ok) return parsed.value.minor;
		errors[field] = parsed.code === 'missing' ? `${what} is blank. Type 0 for none.` : parsed.say;
		return 0;
	};
	if (raw.client.trim() === '') errors.client = 'Who is it for? Type a name.';
	if (raw.eventDate !== '' && !isCalendarDay(raw.eventDate))
		errors.eventDate = 'There is no such day. Pick one from the calendar.';
	const margin = percent('margin', 'The margin', 1_000_000);
	if (raw.method === 'margin' && !errors.margin && isHundredOrMore(margin)) {
		errors.margin = 'No price leaves a margin of 100 % or more. Type less than 100, or price by markup.';
	}
	const terms: QuoteTerms = {
		occasion: raw.occasion.trim(),
		venue: raw.venue.trim(),
		setting: raw.setting,
		deliveryMinor: amount('delivery', 'The delivery charge'),
		// A blank cost is unknown, and shown as such: it is not free.
		deliveryCostMinor:
			raw.deliveryCost.trim() === '' ? null : amount('deliveryCost', 'What the delivery costs you'),
		method: raw.method,
		margin,
		markup: percent('markup', 'The markup', 10_000),
		rush: percent('rush', 'The rush charge', 1000),
		discount: readDiscount(),
		tax: percent('tax', 'The tax rate', 100),
		deposit: percent('deposit', 'The deposit', 100),
		validDays: days(),
		note: raw.note,
		climate: climate()
	};
	function climate(): QuoteClimate | null {
		if (raw.there.trim() === '') return null;
		const air = (field: 'here' | 'there', what: string): number => quantity(field, { ...VENUE_AIR, what });
		const height =
			raw.height.trim() === ''
				? 0
				: quantity('height', { ...VENUE_HEIGHT, what: 'The height above the sea' });
		const here = raw.here.trim() === '' ? ROOM : air('here', 'The air at your studio');
		return { here, there: air('there', 'The air there'), sun: raw.sun, height };
	}
	function quantity(field: 'here' | 'there' | 'height', wanted: Wanted): number {
		const parsed = parseQuantity(raw[field], wanted, style);
		if (parsed.ok) return parsed.value;
		errors[field] = parsed.say;
		return wanted.min;
	}
	function readDiscount(): Discount | null {
		if (raw.discountKind === 'none') return null;
		if (raw.discountKind === 'amount') return { kind: 'amount', minor: amount('discount', 'The discount') };
		return { kind: 'percent', percent: percent('discount', 'The discount', 100) };
	}
	function days(): number {
		const parsed = parseCount(raw.validDays, { what: 'Days the offer stands', min: 1, max: 365 }, style);
		if (parsed.ok) return parsed.value;
		errors.validDays = parsed.say;
		return 14;
	}
	const lines = raw.lines.map((line) => {
		const parsed = parseCount(line.quantity, { what: 'How many', min: 1, max: 999 }, style);
		if (!parsed.ok) errors[`quantity ${line.id}`] = parsed.say;
		return {
			id: line.id,
			versionId: line.versionId,
			colourwayId: line.colourwayId || null,
			sizeId: line.sizeId || null,
			quantity: parsed.ok ? parsed.value : 1
		};
	});
	if (Object.keys(errors).length > 0) return { errors };
	return {
		errors,
		value: { client: raw.client.trim(), eventDate: raw.eventDate || null, zone: raw.zone, terms, lines }
	};
}

const isHundredOrMore = (percent: string): boolean => {
	const [n, d = '1'] = percent.split('/');
	return BigInt(n!) >= 100n * BigInt(d);
};
