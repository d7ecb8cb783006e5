import { got, refuse, type Parsed } from '../errors.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { inches, parseLength } from '../units/length.ts';
import { parseCount, type NumberStyle } from '../units/number.ts';
import { keeping, kerfOf, listOf } from './read-cutting.ts';
import type { SheetPiece, SheetProblem } from './sheets.ts';

/** Most kinds of pieces, and pieces of a kind. */
const [MOST_KINDS, MOST_ALIKE] = [30, 100];

/** What is typed, pieces a line each: `6 × 14 by 14 in`, `8 ft by 4 ft at 32.00`. */
export interface SheetText {
	readonly pieces: string;
	readonly sheet: string;
	readonly kerf: string;
	readonly turned: boolean;
}
export type SheetErrors = Partial<Record<'pieces' | 'sheet' | 'kerf', string>>;

/** Reads what is to be cut out of sheets; every field that cannot be read says what to type. */
export function readSheets(
	typed: SheetText,
	{ currency, style }: { readonly currency: Currency; readonly style: NumberStyle }
): { readonly problem: SheetProblem } | { readonly errors: SheetErrors } {
	const errors: SheetErrors = {};
	const keep = keeping(errors);
	const pieces = keep('pieces', listOf(typed.pieces, MOST_KINDS, (line) => pieceOf(line, style), 'Which pieces? A line each, like “6 × 14 by 14 in”.'), []);
	const sheet = keep('sheet', sheetOf(typed.sheet, currency, style), { wide: inches(96), deep: inches(48), priceMinor: null });
	const kerf = typed.kerf.trim() === '' ? got(0 as const) : kerfOf(typed.kerf, style);
	const taken = keep('kerf', kerf, 0 as const);
	return Object.keys(errors).length > 0 ? { errors } : { problem: { ...sheet, kerf: taken, pieces, turned: typed.turned } };
} // prettier-ignore

/** `14 by 14 in`, `2 ft by 14 in`: a unit behind the second is of both. */
function sidesOf(text: string, unit: 'in' | 'ft', style: NumberStyle): Parsed<Pick<SheetPiece, 'wide' | 'deep'>> {
	const [a, b, ...more] = text.split(/\s*(?:\bby\b|[x×])\s*/iu);
	if (a === undefined || b === undefined || more.length > 0 || a === '' || b === '')
		return refuse('not-a-length', 'Type two sides, like “14 by 14 in”.');
	const deep = parseLength(b, unit, style);
	if (!deep.ok) return deep;
	const wide = parseLength(a, /[a-z″′'"]/iu.test(a) ? unit : deep.value.unit, style);
	if (!wide.ok) return wide;
	return wide.value.um > 0 && deep.value.um > 0
		? got({ wide: wide.value.um, deep: deep.value.um })
		: refuse('too-small', 'Each side is above 0.');
} // prettier-ignore

function pieceOf(line: string, style: NumberStyle): Parsed<SheetPiece> {
	const [, count, rest] = /^(\d+)\s*(?:[x×]|of|pieces of)\s*(.+)$/iu.exec(line) ?? [];
	// “14 x 14” is one piece: what follows a count has two sides of its own.
	const many = rest !== undefined && /\bby\b|[x×]/iu.test(rest);
	if (!many) {
		const alone = sidesOf(line, 'in', style);
		return alone.ok ? got({ ...alone.value, quantity: 1 }) : refuse('not-a-length', 'Type how many and their sides, like “6 × 14 by 14 in”.'); // prettier-ignore
	}
	const quantity = parseCount(count!, { what: 'Pieces alike', min: 1, max: MOST_ALIKE }, style);
	if (!quantity.ok) return quantity;
	const sides = sidesOf(rest, 'in', style);
	return sides.ok ? got({ ...sides.value, quantity: quantity.value }) : sides;
}

function sheetOf(text: string, currency: Currency, style: NumberStyle): Parsed<Pick<SheetProblem, 'wide' | 'deep' | 'priceMinor'>> {
	if (text.trim() === '') return refuse('missing', 'How large is a sheet? Type it like “8 ft by 4 ft at 32.00”.');
	const [size, price] = text.split(/\s+(?:at|for)\s+/iu);
	const sides = sidesOf(size!, 'ft', style);
	if (!sides.ok) return sides;
	if (price === undefined) return got({ ...sides.value, priceMinor: null });
	const money = parseMoney(price, currency, style);
	if (!money.ok) return money;
	return money.value.minor > 0
		? got({ ...sides.value, priceMinor: money.value.minor })
		: refuse('too-small', 'A price is above 0; leave it out while it is not known.');
} // prettier-ignore
