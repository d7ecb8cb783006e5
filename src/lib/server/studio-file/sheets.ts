import Papa from 'papaparse';
import { formatAmount, money, type Currency } from '../../core/money/money.ts';
import type { StudioTable } from '../db/studio-tables.ts';
import type { StudioRow } from '../repos/whole-studio.ts';
import { FORMULA } from '../services/bill-csv.ts';

type Cell = string | number | null;
type Sheet = readonly Readonly<Record<string, Cell>>[];
const text = (value: unknown): Cell => (typeof value === 'string' || typeof value === 'number' ? value : '');
const inside = (value: unknown, ...way: readonly string[]): unknown =>
	way.reduce<unknown>((at, key) => (at as Record<string, unknown> | null | undefined)?.[key], value);

/**
 * What an owner looks at in a spreadsheet, out of the rows of a studio: names in the place of ids, amounts in
 * whole units, with a point. The files of data beside it hold everything.
 */
export function sheetsOf(
	all: Partial<Record<StudioTable, readonly StudioRow[]>>,
	currency: Currency
): Readonly<Record<string, Sheet>> {
	const rows = (name: StudioTable) => all[name] ?? [];
	const named = (name: StudioTable) => new Map(rows(name).map((r) => [r['id'], text(r['name'])]));
	const amount = (minor: unknown): Cell =>
		typeof minor === 'number' ? formatAmount(money(minor, currency)).replaceAll(',', '') : '';
	const [clients, suppliers, materials, colours] = (
		['client', 'supplier', 'material', 'colour'] as const
	).map(named);
	const numbers = new Map(rows('quote').map((q) => [q['id'], text(q['number'])]));
	const issued = new Map(rows('quoteIssue').map((i) => [i['quoteId'], i['frozen']]));
	const iso = (at: unknown): Cell => (at instanceof Date ? at.toISOString() : '');
	const onHand = new Map<unknown, number>();
	for (const m of rows('stockMove'))
		onHand.set(m['materialId'], (onHand.get(m['materialId']) ?? 0) + Number(m['thousandths']));
	return {
		clients: rows('client').map((c) => ({
			name: text(c['name']),
			email: text(c['email']),
			phone: text(c['phone'])
		})),
		quotes: rows('quote').map((q) => ({
			number: text(q['number']),
			client: clients!.get(q['clientId']) ?? '',
			occasion: text(inside(q['terms'], 'occasion')),
			event: text(q['eventDate']),
			state: text(q['state']),
			total: amount(inside(issued.get(q['id']), 'total', 'minor')),
			deposit: amount(inside(issued.get(q['id']), 'deposit', 'minor'))
		})),
		payments: rows('payment').map((p) => ({
			quote: numbers.get(p['quoteId']) ?? '',
			what: text(p['kind']),
			amount: amount(p['minor']),
			state: text(p['state']),
			at: iso(p['madeAt'])
		})),
		materials: rows('material').map((m) => ({
			name: text(m['name']),
			kind: text(m['kind']),
			colour: colours!.get(m['colourId']) ?? '',
			unit: text(m['unit']),
			'on hand': (onHand.get(m['id']) ?? 0) / 1000
		})),
		prices: rows('pack').map((p) => ({
			material: materials!.get(p['materialId']) ?? '',
			supplier: suppliers!.get(p['supplierId']) ?? '',
			code: text(p['code']),
			pieces: text(p['count']),
			price: amount(p['priceMinor']),
			since: text(p['since'])
		}))
	};
}

/** RFC 4180; what would start a formula is written as text. */
export const csvOf = (sheet: Sheet): string =>
	sheet.length === 0 ? '' : `${Papa.unparse([...sheet], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
