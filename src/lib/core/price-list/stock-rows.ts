import type { Colour, Material } from '../materials/material.ts';
import { KIND_WORDS } from '../materials/material.ts';
import { formatInches } from '../units/length.ts';
import { printMoney } from '../units/print-number.ts';
import type { NumberStyle } from '../units/number.ts';
import { FIELD_WORDS } from './columns.ts';

/** Headings of the Stockroom as a table, those that a list is read by in their own words. */
export const STOCK_HEAD = [
	FIELD_WORDS.code, FIELD_WORDS.name, 'supplier', FIELD_WORDS.kind, FIELD_WORDS.size, FIELD_WORDS.colour, 'finish',
	FIELD_WORDS.count, FIELD_WORDS.price, FIELD_WORDS.deposit, 'supplier’s name for it', 'since', 'on hand', 'unit', 'retired'
] as const; // prettier-ignore
export type StockRow = Readonly<Record<(typeof STOCK_HEAD)[number], string>>;

/**
 * The Stockroom as a table, a row a pack; a material without one has a row too. Read back as a list of one supplier it
 * changes nothing.
 * @param onHand pieces by material @param supplier only what that one sells
 */
export function stockTable(
	materials: readonly Material[],
	colours: readonly Colour[],
	{ style, onHand, supplier }: { readonly style: NumberStyle; readonly onHand: ReadonlyMap<string, number>; readonly supplier?: string | undefined } // prettier-ignore
): StockRow[] {
	const byId = new Map(colours.map((c) => [c.id, c]));
	return materials.flatMap((m) => {
		const colour = byId.get(m.colour ?? '');
		const packs = m.packs.filter((p) => !p.ended && (supplier === undefined || p.supplierId === supplier));
		const all = packs.length > 0 || supplier !== undefined ? packs : [undefined];
		return all.map((pack): StockRow => ({
			'order code': pack?.code ?? '',
			'what it is called': m.name,
			supplier: pack?.supplier ?? '',
			kind: KIND_WORDS[m.kind],
			'size on the bag': m.nominal === null ? '' : formatInches(m.nominal),
			colour: colour?.name ?? '',
			finish: colour?.finish ?? '',
			'pieces in a pack': pack ? String(pack.count) : '',
			'price of a pack': printMoney(pack?.priceMinor ?? null, style),
			deposit: printMoney(pack?.depositMinor ?? null, style),
			'supplier’s name for it': pack?.suppliersName ?? '',
			since: pack?.since ?? '',
			'on hand': onHand.has(m.id) ? String(Math.round(onHand.get(m.id)! * 1000) / 1000) : '',
			unit: m.unit,
			retired: m.retired ? 'yes' : ''
		}));
	});
}
