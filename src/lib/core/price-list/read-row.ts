import { got, refuse, type Parsed } from '../errors.ts';
import { parseMoney, type Currency } from '../money/money.ts';
import { parseLength, type Micrometres } from '../units/length.ts';
import { shorten, type NumberStyle } from '../units/number.ts';
import { LIST_FIELDS, type Columns, type ListField } from './columns.ts';
import type { TableRow } from './table.ts';

/** A row of a list as it is understood; null is what it does not say. */
export interface ListRow {
	readonly line: number;
	readonly code: string;
	readonly name: string;
	readonly count: number | null;
	readonly priceMinor: number | null;
	readonly depositMinor: number | null;
	readonly nominal: Micrometres | null;
	readonly colour: string;
	readonly kind: string;
}
/** Why a row cannot be read: where, and in words. */
export interface RowTrouble {
	readonly field: ListField | null;
	readonly say: string;
}
export interface ListNumbers {
	readonly style: NumberStyle;
	readonly currency: Currency;
}

/**
 * Which mark is the decimal one in a column of prices: the one that stands before the last one or two figures most often.
 * @param usual as numbers are typed here, where the column does not tell
 */
export function decimalOf(cells: readonly string[], usual: NumberStyle): NumberStyle {
	let points = 0;
	for (const cell of cells) {
		const mark = /([.,])\d{1,2}\D*$/.exec(cell)?.[1];
		points += mark === '.' ? 1 : mark === ',' ? -1 : 0;
	}
	return points === 0 ? usual : { decimal: points > 0 ? '.' : ',' };
}

const CURRENCY = /[A-Z]{0,2}[$€£]|\b(?:USD|EUR|GBP|CAD|AUD|NZD)\b/giu;

function price(text: string, { style, currency }: ListNumbers): Parsed<number | null> {
	const bare = text.replace(CURRENCY, '').replace(/[\s'’]/gu, '');
	if (bare === '' || /^(n\/?a|tba|tbc|-|–|—|\?)$/i.test(bare)) return got(null);
	const read = parseMoney(bare, currency, style);
	if (!read.ok) return read.code === 'not-a-number' ? refuse('not-a-number', `“${shorten(text)}” is not a price.`) : read; // prettier-ignore
	return read.value.minor === 0 ? refuse('refused', 'A price of 0 would make it free. Leave the cell blank while it is not known.') : got(read.value.minor); // prettier-ignore
}

/** `100`, `100 ct`, `bag of 100`: one whole number, whatever stands around it. */
function pieces(text: string): Parsed<number | null> {
	if (text === '') return got(null);
	const found = text.match(/\d[\d.,]*/g) ?? [];
	const bare = found[0]?.replace(/[.,]0{1,2}$/, '').replace(/[.,](?=\d{3}$)/, '') ?? '';
	const many = Number(bare);
	if (found.length !== 1 || !/^\d+$/.test(bare) || many < 1 || many > 100_000)
		return refuse(
			'not-whole',
			`“${shorten(text)}” is not how many are in a pack. Write a whole number like 100.`
		);
	return got(many);
}

const IN_NAME =
	/\b(?:(?:bag|pack|box) of (\d{1,4})|(\d{1,4}) ?(?:ct|count|pcs|pieces|per (?:bag|pack)|\/ ?bag))\b/i;
const SIZE = /(\d{1,3}(?:[.,]\d{1,2}| ?[½¼¾])?) ?(in\b|inch(?:es)?\b|["″”]|cm\b)/iu;

const length = (text: string, style: NumberStyle): Parsed<Micrometres | null> => {
	if (text === '') return got(null);
	const read = parseLength(text.replace(/["″”]+$/u, ' in'), 'in', style);
	return read.ok ? got(read.value.um > 0 ? read.value.um : null) : refuse(read.code, `“${shorten(text)}” is not a size. Write it like 11 or 11 in.`); // prettier-ignore
};

/** Reads a row; what its columns do not say is taken from its name where that says it. */
export function readListRow(
	{ line, cells, broken }: TableRow,
	columns: Columns,
	numbers: ListNumbers
): { readonly row: ListRow; readonly trouble?: RowTrouble } {
	const cell = (field: ListField) => cells[columns[field] ?? -1] ?? '';
	const name = cell('name').replace(/\s+/g, ' ');
	const said = { price: price(cell('price'), numbers), deposit: price(cell('deposit'), numbers), count: pieces(cell('count')), size: length(cell('size'), numbers.style) }; // prettier-ignore
	const [, of, ct] = IN_NAME.exec(name) ?? [];
	const [, amount, unit] = SIZE.exec(name) ?? [];
	const inName = amount ? length(`${amount} ${unit!.toLowerCase().startsWith('cm') ? 'cm' : 'in'}`, { decimal: amount.includes(',') ? ',' : '.' }) : got(null); // prettier-ignore
	const or = <V>(read: Parsed<V | null>, other: V | null = null): V | null => (read.ok ? (read.value ?? other) : null);
	const row: ListRow = {
		line,
		code: cell('code').slice(0, 60),
		name: name.slice(0, 120),
		count: or(said.count, of || ct ? Number(of ?? ct) : null),
		priceMinor: or(said.price),
		depositMinor: or(said.deposit),
		nominal: or(said.size, inName.ok ? inName.value : null),
		colour: cell('colour').slice(0, 80),
		kind: cell('kind').slice(0, 80)
	};
	if (broken !== undefined) return { row, trouble: { field: null, say: broken } };
	const wrong = LIST_FIELDS.find((f) => f in said && !said[f as keyof typeof said].ok);
	if (wrong) return { row, trouble: { field: wrong, say: (said[wrong as keyof typeof said] as { say: string }).say } };
	if (row.code === '' && row.name === '')
		return { row, trouble: { field: 'name', say: 'It has neither a name nor an order code.' } };
	if (name.length > 120) return { row, trouble: { field: 'name', say: 'Its name has more than 120 letters.' } };
	return { row };
} // prettier-ignore
