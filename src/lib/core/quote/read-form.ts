import { got } from '../errors.ts';
import { amount, as, count, held, orBlank, percent, quantity, words, type Field } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import type { Sun } from '../gas/heat.ts';
import { VENUE_AIR, VENUE_GUST, VENUE_HEIGHT } from '../gas/venue.ts';
import type { Currency } from '../money/money.ts';
import type { PriceMethod } from '../pricing/methods.ts';
import { methodField } from '../pricing/method-field.ts';
import type { Discount } from '../pricing/terms.ts';
import type { NumberStyle } from '../units/number.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { inUnit } from '../units/quantity.ts';
import { rational, rationalText } from '../units/rational.ts';
import { isUsual, printJob, readJob, type JobField, type RawJob } from './read-job.ts';
import { readKnown, type Place, type RawPlace } from './place.ts';
import type { QuoteTerms } from './quote.ts';
import {
	printLines,
	readLevels,
	readLines,
	type LineField,
	type RawLine,
	type ReadLine
} from './read-lines.ts';

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
	readonly method: PriceMethod;
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
	/** Gusts that are forecast there; blank is not asked. */
	readonly gust: string;
	readonly job: RawJob;
	/** `Good, Better, Best`; blank is one level. */
	readonly levels: string;
	/** For the owner alone. */
	readonly self: string;
	/** The client's place; null is none. */
	readonly place: RawPlace | null;
	readonly lines: readonly RawLine[];
}

export type QuoteField = Exclude<keyof RawQuote, 'lines' | 'job' | 'place'> | 'known' | JobField | LineField;

export interface ReadQuote {
	readonly client: string;
	readonly eventDate: string | null;
	readonly zone: string;
	readonly terms: QuoteTerms;
	readonly lines: readonly ReadLine[];
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
	const context = { style, currency };
	const errors: Partial<Record<QuoteField, string>> = {};
	const read = readForm(quoteForm(raw), raw as unknown as Fields, context);
	if (!read.ok) Object.assign(errors, read.errors);
	const levels = readLevels(raw.levels);
	if (typeof levels === 'string') errors.levels = levels;
	const own = readLines(raw.lines, typeof levels === 'string' ? [] : levels, context);
	Object.assign(errors, own.errors);
	const mm = raw.place ? readKnown(raw.place.known, 'ft', style) : 0;
	if (typeof mm === 'string') errors.known = mm;
	const job = readJob(raw.job, context);
	Object.assign(errors, job.errors);
	if (!read.ok || Object.keys(errors).length > 0) return { errors };
	const v = read.values;
	const terms: QuoteTerms = {
		occasion: raw.occasion.trim(),
		venue: raw.venue.trim(),
		setting: raw.setting,
		deliveryMinor: v.delivery,
		deliveryCostMinor: v.deliveryCost,
		method: raw.method,
		margin: rationalText(v.margin),
		markup: rationalText(v.markup),
		rush: rationalText(v.rush),
		discount: v.discount,
		tax: rationalText(v.tax),
		deposit: rationalText(v.deposit),
		validDays: v.validDays,
		note: raw.note,
		climate:
			v.there === null
				? null
				: {
						here: v.here,
						there: v.there,
						sun: raw.sun,
						height: v.height,
						...(v.gust === null ? {} : { gust: v.gust })
					},
		job: isUsual(raw.job) ? null : job.plan,
		...(raw.self.trim() ? { self: raw.self } : {}),
		...(raw.place && typeof mm === 'number' ? { place: placeOf(raw.place, mm) } : {}),
		...own.offered
	};
	return {
		errors,
		value: {
			client: v.client,
			eventDate: v.eventDate,
			zone: raw.zone,
			terms,
			lines: own.lines
		}
	};
}

/** The fields of a quote with their limits; a discount is an amount or per cent, as is chosen beside it. */
function quoteForm({ method, discountKind, there }: RawQuote) {
	const asked = there.trim() !== '';
	const no = <T>(value: T): Field<T> => ({ read: () => got(value) });
	return {
		client: words({ what: 'A name', most: 200, missing: 'Who is it for? Type a name.' }),
		eventDate: orBlank(
			held(words({ what: 'A day', most: 40 }), (day) =>
				isCalendarDay(day) ? undefined : 'There is no such day. Pick one from the calendar.'
			),
			null
		),
		// A blank charge is worked out from what the delivery costs.
		delivery: orBlank(amount('The delivery charge'), null),
		// A blank cost is unknown, and shown as such: it is not free.
		deliveryCost: orBlank(amount('What the delivery costs you'), null),
		margin: methodField('margin', undefined, method === 'margin'),
		markup: methodField('markup', undefined, method === 'markup'),
		rush: percent('The rush charge', 1000),
		discount: discountField(discountKind),
		tax: percent('The tax rate', 100),
		deposit: percent('The deposit', 100),
		validDays: count({ what: 'Days the offer stands', min: 1, max: 365 }),
		// Of the air only what is there is asked: a blank there is no question.
		there: orBlank(quantity({ ...VENUE_AIR, what: 'The air there' }), null),
		here: asked ? orBlank(quantity({ ...VENUE_AIR, what: 'The air at your studio' }), ROOM) : no(ROOM),
		height: asked ? orBlank(quantity({ ...VENUE_HEIGHT, what: 'The height above the sea' }), 0) : no(0),
		gust: asked ? orBlank(quantity({ ...VENUE_GUST, what: 'Gusts' }), null) : no(null)
	};
}

const discountField = (kind: RawQuote['discountKind']): Field<Discount | null> =>
	kind === 'none'
		? { read: () => got(null) }
		: kind === 'amount'
			? as(amount('The discount'), (minor) => ({ kind, minor }))
			: as(percent('The discount', 100), (value) => ({ kind, percent: rationalText(value) }));

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
		gust: climate?.gust === undefined ? '' : gust(climate.gust, style),
		job: printJob(terms.job, style),
		levels: (terms.levels ?? []).join(', '),
		self: terms.self ?? '',
		place: terms.place ? printPlace(terms.place, style) : null,
		lines: printLines(lines, terms, style)
	};
}

/** Degrees as they are said here where they are whole ones, else in the other unit to a millionth. */
function degrees(kelvin: number, style: NumberStyle): string {
	const usual = inUnit(kelvin, 'temperature', 'f');
	return isWhole(usual)
		? `${Math.round(usual)} F`
		: `${millionths(inUnit(kelvin, 'temperature', 'c'), style)} C`;
}

function gust(speed: number, style: NumberStyle): string {
	const usual = inUnit(speed, 'speed', 'mph');
	return isWhole(usual) ? `${Math.round(usual)} mph` : `${millionths(speed, style)} m/s`;
}

function height(metres: number, style: NumberStyle): string {
	const usual = inUnit(metres, 'height', 'ft');
	return isWhole(usual) ? `${Math.round(usual)} ft` : `${millionths(metres, style)} m`;
}

const isWhole = (value: number): boolean => Math.abs(value - Math.round(value)) < 1e-9;
const millionths = (value: number, style: NumberStyle): string =>
	printNumber(rational(Math.round(value * 1e6), 1_000_000), style);

function placeOf(raw: RawPlace, mm: number): Place {
	const { photo, width, height, from, to, pieces } = raw;
	return { photo, width, height, from, to, mm, pieces };
}

/** A place as its fields are filled: its measure in inches where it is a number of them, so that it reads back the same. */
function printPlace({ mm, ...rest }: Place, style: NumberStyle): RawPlace {
	const inches = Math.round((mm / 25.4) * 1e6) / 1e6;
	const known =
		Math.abs(inches * 25.4 - mm) < 1e-9 ? `${millionths(inches, style)} in` : `${millionths(mm, style)} mm`;
	return { ...rest, known };
}
