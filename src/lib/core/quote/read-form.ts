import { VENUE_AIR, VENUE_HEIGHT } from '../gas/venue.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { parseBounded, parseCount, type NumberStyle } from '../units/number.ts';
import { rational, rationalText } from '../units/rational.ts';
import type { Discount } from '../pricing/terms.ts';
import type { Sun } from '../gas/heat.ts';
import { inUnit, parseQuantity, type Wanted } from '../units/quantity.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import type { LineWay, QuoteClimate, QuoteTerms } from './quote.ts';

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
	/** As its design says (or the quote, where that says nothing), as the quote, or its own with its per cent. */
	readonly way: 'own' | 'quote' | 'margin' | 'markup';
	readonly percent: string;
}

export type QuoteField = Exclude<keyof RawQuote, 'lines'> | `quantity ${string}` | `percent ${string}`;

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
		way: LineWay | null;
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
	const percentOf = (text: string, field: QuoteField, what: string, max: number): string => {
		const parsed = parseBounded(text, { what, min: 0, max, unit: ' %' }, style);
		if (parsed.ok) return rationalText(parsed.value);
		errors[field] = parsed.say;
		return '0';
	};
	const percent = (
		field: 'margin' | 'markup' | 'rush' | 'tax' | 'deposit' | 'discount',
		what: string,
		max: number
	): string => percentOf(raw[field], field, what, max);
	const marginOf = (text: string, field: QuoteField, what: string): string => {
		const margin = percentOf(text, field, what, 1_000_000);
		if (!errors[field] && rational(margin).compare(100) >= 0)
			errors[field] = 'No price leaves a margin of 100 % or more. Type less than 100, or price by markup.';
		return margin;
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
	const margin =
		raw.method === 'margin'
			? marginOf(raw.margin, 'margin', 'The margin')
			: percent('margin', 'The margin', 1_000_000);
	const terms: QuoteTerms = {
		occasion: raw.occasion.trim(),
		venue: raw.venue.trim(),
		setting: raw.setting,
		// A blank charge is worked out from what the delivery costs.
		deliveryMinor: raw.delivery.trim() === '' ? null : amount('delivery', 'The delivery charge'),
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
		const field = `percent ${line.id}` as const;
		const way =
			line.way === 'own'
				? null
				: line.way === 'quote'
					? line.way
					: {
							method: line.way,
							percent:
								line.way === 'margin'
									? marginOf(line.percent, field, 'The margin of this line')
									: percentOf(line.percent, field, 'The markup of this line', 10_000)
						};
		return {
			id: line.id,
			versionId: line.versionId,
			colourwayId: line.colourwayId || null,
			sizeId: line.sizeId || null,
			quantity: parsed.ok ? parsed.value : 1,
			way
		};
	});
	if (Object.keys(errors).length > 0) return { errors };
	return {
		errors,
		value: { client: raw.client.trim(), eventDate: raw.eventDate || null, zone: raw.zone, terms, lines }
	};
}

/** A quote as its fields are filled with it; {@link readQuote} reads exactly that quote back. */
export function printQuote(
	{ client, eventDate, zone, terms, lines }: ReadQuote,
	style: NumberStyle
): RawQuote {
	const number = (text: string) => printNumber(rational(text), style);
	const { discount, climate } = terms;
	return {
		client,
		eventDate: eventDate ?? '',
		zone,
		occasion: terms.occasion,
		venue: terms.venue,
		setting: terms.setting,
		delivery: printMoney(terms.deliveryMinor, style),
		deliveryCost: printMoney(terms.deliveryCostMinor, style),
		method: terms.method,
		margin: number(terms.margin),
		markup: number(terms.markup),
		rush: number(terms.rush),
		discountKind: discount?.kind ?? 'none',
		discount: !discount
			? ''
			: discount.kind === 'amount'
				? printMoney(discount.minor, style)
				: number(discount.percent),
		tax: number(terms.tax),
		deposit: number(terms.deposit),
		validDays: String(terms.validDays),
		note: terms.note,
		here: climate ? degrees(climate.here, style) : '',
		there: climate ? degrees(climate.there, style) : '',
		sun: climate?.sun ?? 'shade',
		height: climate?.height ? height(climate.height, style) : '',
		lines: lines.map(({ id, versionId, colourwayId, sizeId, quantity, way }) => ({
			id,
			versionId,
			colourwayId: colourwayId ?? '',
			sizeId: sizeId ?? '',
			quantity: String(quantity),
			way: way === null ? 'own' : way === 'quote' ? 'quote' : way.method,
			percent: way === null || way === 'quote' ? '' : number(way.percent)
		}))
	};
}

/** Degrees as they are said here where they are whole ones, else in the other unit to a millionth. */
function degrees(kelvin: number, style: NumberStyle): string {
	const usual = inUnit(kelvin, 'temperature', 'f');
	return isWhole(usual)
		? `${Math.round(usual)} F`
		: `${millionths(inUnit(kelvin, 'temperature', 'c'), style)} C`;
}

function height(metres: number, style: NumberStyle): string {
	const usual = inUnit(metres, 'height', 'ft');
	return isWhole(usual) ? `${Math.round(usual)} ft` : `${millionths(metres, style)} m`;
}

const isWhole = (value: number): boolean => Math.abs(value - Math.round(value)) < 1e-9;
const millionths = (value: number, style: NumberStyle): string =>
	printNumber(rational(Math.round(value * 1e6), 1_000_000), style);
