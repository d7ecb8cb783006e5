import Fraction from 'fraction.js';
import { got, refuse, type Parsed } from '../errors.ts';
import type { Rational } from './rational.ts';

/** How numbers are typed where the owner lives: `8.5` or `8,5`. */
export interface NumberStyle {
	readonly decimal: '.' | ',';
}

export const POINT: NumberStyle = { decimal: '.' };

const VULGAR: Record<string, readonly [number, number]> = {
	'½': [1, 2],
	'¼': [1, 4],
	'¾': [3, 4],
	'⅛': [1, 8],
	'⅜': [3, 8],
	'⅝': [5, 8],
	'⅞': [7, 8],
	'⅓': [1, 3],
	'⅔': [2, 3]
};
/** Longest text any field or line is read from: more is a slip of the clipboard, and would be read for minutes. */
export const MOST_TYPED = 2000;

/** Longest digits taken before or after the point: more is nonsense, and slow. */
const MOST_DIGITS = 12;

/**
 * Reads a number as people type it: `8`, `8.5`, `8,5` (by style), `8 1/2`, `8-1/2`, `8½`, `½`, `1,200`.
 *
 * A blank is `missing`, never 0. The minus sign may be `-` or `−`.
 * @param style which mark is the decimal one; the other may only group thousands
 */
export function parseNumber(text: string, style: NumberStyle = POINT): Parsed<Rational> {
	if (text.length > MOST_TYPED)
		return refuse('too-big', 'That is too long for a number. Type a few figures.');
	const trimmed = text.trim().replace(/−/g, '-');
	if (trimmed === '') return refuse('missing', 'Type a number.');
	const negative = trimmed.startsWith('-');
	const body = (negative ? trimmed.slice(1) : trimmed).trim();
	const value = readVulgar(body) ?? readFraction(body) ?? readDecimal(body, style);
	if (!value)
		return refuse('not-a-number', `“${shorten(text)}” is not a number. Write it like 8, 8.5 or 8½.`);
	return got(negative ? value.neg() : value);
}

function readVulgar(body: string): Rational | undefined {
	const match = /^(\d{0,9})\s*([½¼¾⅛⅜⅝⅞⅓⅔])$/u.exec(body);
	if (!match) return undefined;
	const [numerator, denominator] = VULGAR[match[2]!]!;
	return new Fraction(numerator, denominator).add(match[1] || 0);
}

function readFraction(body: string): Rational | undefined {
	const match = /^(?:(\d{1,9})(?:\s+|\s*-\s*))?(\d{1,9})\s*[/⁄]\s*(\d{1,9})$/u.exec(body);
	if (!match || Number(match[3]) === 0) return undefined;
	return new Fraction(Number(match[2]), Number(match[3])).add(match[1] ?? 0);
}

function readDecimal(body: string, { decimal }: NumberStyle): Rational | undefined {
	const group = decimal === '.' ? ',' : '.';
	const [whole = '', part, ...rest] = body.split(decimal);
	if (rest.length > 0 || (part !== undefined && !/^\d*$/.test(part))) return undefined;
	const grouped = new RegExp(`^\\d{1,3}(\\${group}\\d{3})+$`);
	const digits = grouped.test(whole) ? whole.split(group).join('') : whole;
	if (!/^\d*$/.test(digits) || digits + (part ?? '') === '') return undefined;
	if (digits.length > MOST_DIGITS || (part ?? '').length > MOST_DIGITS) return undefined;
	return new Fraction(`${digits || '0'}.${part || '0'}`);
}

/** A typed text cut short enough to stand inside a message. */
export const shorten = (text: string): string => {
	const flat = text.slice(0, 400).trim().replace(/\s+/g, ' ');
	return flat.length > 40 ? `${flat.slice(0, 38)}…` : flat;
};

/** Bounds of a typed number, both included. */
export interface Bounds {
	readonly min?: number;
	readonly max?: number;
	/** What the number is, for the sentence: “The margin”. */
	readonly what: string;
	readonly unit?: string;
}

/** {@link parseNumber} held to bounds, each breach with its own sentence. */
export function parseBounded(
	text: string,
	{ min, max, what, unit = '' }: Bounds,
	style = POINT
): Parsed<Rational> {
	const parsed = parseNumber(text, style);
	if (!parsed.ok)
		return parsed.code === 'missing' ? refuse('missing', `${what} is blank. Type a number.`) : parsed;
	const value = parsed.value.valueOf();
	if (min !== undefined && value < min) {
		return value < 0 && min >= 0
			? refuse('negative', `${what} cannot be negative. Type ${min}${unit} or more.`)
			: refuse('too-small', `${what} must be at least ${min}${unit}.`);
	}
	if (max !== undefined && value > max) return refuse('too-big', `${what} can be at most ${max}${unit}.`);
	return parsed;
}

/** {@link parseBounded} for counts: whole numbers only. */
export function parseCount(text: string, bounds: Bounds, style = POINT): Parsed<number> {
	const parsed = parseBounded(text, bounds, style);
	if (!parsed.ok) return parsed;
	if (parsed.value.d !== 1n) return refuse('not-whole', `${bounds.what} must be a whole number.`);
	return got(parsed.value.valueOf());
}
