import { got, refuse, type Parsed } from '../errors.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { parseLength } from '../units/length.ts';
import { parseCount, shorten, type NumberStyle } from '../units/number.ts';
import type { CuttingProblem, CutPiece, StockLength } from './cutting.ts';

/** Most kinds of pieces, pieces of a kind and stock lengths that are cut at once. */
const [MOST_KINDS, MOST_ALIKE, MOST_STOCK] = [40, 200, 6];

/** What is typed, a line each: `4 × 3 ft`, `10 ft at 8.40`. */
export interface CuttingText {
	readonly pieces: string;
	readonly stock: string;
	readonly kerf: string;
}

export type CuttingErrors = Partial<Record<keyof CuttingText, string>>;

/** Takes what was read of a field, or notes why it was not and goes on with something else. */
export const keeping =
	<F extends string>(errors: Partial<Record<F, string>>) =>
	<T>(field: F, parsed: Parsed<T>, otherwise: T): T => {
		if (parsed.ok) return parsed.value;
		errors[field] = parsed.say;
		return otherwise;
	};

/** Reads what is to be cut; every field that cannot be read says what to type. */
export function readCutting(
	typed: CuttingText,
	{ currency, style }: { readonly currency: Currency; readonly style: NumberStyle }
): { readonly problem: CuttingProblem } | { readonly errors: CuttingErrors } {
	const errors: CuttingErrors = {};
	const keep = keeping(errors);
	const pieces = keep(
		'pieces',
		listOf(
			typed.pieces,
			MOST_KINDS,
			(line) => pieceOf(line, style),
			'Which pieces? A line each, like “4 × 3 ft”.'
		),
		[]
	);
	const stock = keep(
		'stock',
		listOf(
			typed.stock,
			MOST_STOCK,
			(line) => stockOf(line, currency, style),
			'Which lengths are sold? A line each, like “10 ft at 8.40”.'
		),
		[]
	);
	const kerf = typed.kerf.trim() === '' ? got(0 as const) : kerfOf(typed.kerf, style);
	const cut = keep('kerf', kerf, 0);
	return Object.keys(errors).length > 0
		? { errors }
		: { problem: { pieces: merged(pieces), stock, kerf: cut } };
}

export function listOf<T>(
	text: string,
	most: number,
	read: (line: string) => Parsed<T>,
	missing: string
): Parsed<T[]> {
	const lines = text
		.split(/[\n;]+/)
		.map((l) => l.trim())
		.filter(Boolean);
	if (lines.length === 0) return refuse('missing', missing);
	if (lines.length > most) return refuse('too-big', `At most ${most} lines, please.`);
	const found: T[] = [];
	for (const line of lines) {
		const parsed = read(line);
		if (!parsed.ok) return refuse(parsed.code, `“${shorten(line)}”: ${parsed.say}`);
		found.push(parsed.value);
	}
	return got(found);
}

function pieceOf(line: string, style: NumberStyle): Parsed<CutPiece> {
	const [, count, rest] = /^(\d+)\s*(?:[x×]|of|pieces of)\s*(.+)$/iu.exec(line) ?? [];
	if (count === undefined) {
		const alone = parseLength(line, 'in', style);
		return alone.ok
			? got({ length: alone.value.um, quantity: 1 })
			: refuse('not-a-length', 'Type how many and how long, like “4 × 3 ft”.');
	}
	const quantity = parseCount(count, { what: 'Pieces alike', min: 1, max: MOST_ALIKE }, style);
	if (!quantity.ok) return quantity;
	const length = parseLength(rest!, 'in', style);
	return length.ok ? got({ length: length.value.um, quantity: quantity.value }) : length;
}

function stockOf(line: string, currency: Currency, style: NumberStyle): Parsed<StockLength> {
	const [long, price] = line.split(/\s+(?:at|for)\s+/iu);
	const length = parseLength(long!, 'ft', style);
	if (!length.ok) return length;
	if (price === undefined) return got({ length: length.value.um, priceMinor: null });
	const money = parseMoney(price, currency, style);
	if (!money.ok) return money;
	return money.value.minor > 0
		? got({ length: length.value.um, priceMinor: money.value.minor })
		: refuse('too-small', 'A price is above 0; leave it out while it is not known.');
}

export function kerfOf(text: string, style: NumberStyle): Parsed<CuttingProblem['kerf']> {
	if (/^\s*0+\s*$/.test(text)) return got(0);
	const parsed = parseLength(text, 'in', style);
	if (!parsed.ok) return parsed;
	return parsed.value.um > 25_400
		? refuse('too-big', 'A saw takes less than an inch, like “⅛”.')
		: got(parsed.value.um);
}

/** The same length said twice is one kind. */
function merged(pieces: readonly CutPiece[]): CutPiece[] {
	const counts = new Map<number, CutPiece>();
	for (const { length, quantity } of pieces)
		counts.set(length, { length, quantity: (counts.get(length)?.quantity ?? 0) + quantity });
	return [...counts.values()].sort((a, b) => b.length - a.length);
}
