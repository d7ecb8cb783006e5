import { openName } from '../../core/document/names.ts';
import Papa from 'papaparse';
import { KIND_WORDS } from '../../core/materials/material.ts';
import type { Tally, TallyContext } from '../../core/tally/tally.ts';
import { formatInches } from '../../core/units/length.ts';

/**
 * How a formula starts in a spreadsheet, whatever lines follow: by its sign, in either width, behind blanks and signs that
 * are not seen, or by a line end that begins a cell anew.
 */
export const FORMULA = /^[\s\p{Cc}\p{Cf}]*[=+\-@|%＝＋－＠]|^[\t\r\n]/u;

const HEAD = [
	'list', 'material', 'kind', 'bag in', 'size to in', 'method', 'colour', 'finish', 'used', 'loss', 'spares', 'to buy',
	'unit', 'pack', 'packs', 'supplier', 'status', 'role', 'where'
] as const; // prettier-ignore

/**
 * Both lists of a bill as CSV (RFC 4180: CRLF, quotes doubled, a heading line), the list to buy first. What would start
 * a formula in a spreadsheet is written as text.
 */
export function billCsv({ bill }: Tally, { catalogue }: TallyContext): string {
	const buy = bill.lines.map((line): Record<(typeof HEAD)[number], string | number> => {
		const { material } = line;
		const colour = catalogue.colours.get(material?.colour ?? '');
		const pack = material?.packs[0];
		return {
			list: 'buy',
			material: line.label,
			kind: material ? KIND_WORDS[material.kind] : '',
			'bag in': material?.nominal ? formatInches(material.nominal) : '',
			'size to in': '',
			method: '',
			colour: colour?.name ?? '',
			finish: colour?.finish ?? '',
			used: decimal(line.used.valueOf()),
			loss: line.loss,
			spares: line.spares,
			'to buy': line.toBuy,
			unit: material?.unit ?? (line.unit === 'piece' ? '' : line.unit),
			pack: pack?.count ?? '',
			packs: pack && line.toBuy > 0 ? Math.ceil(line.toBuy / pack.count) : '',
			supplier: pack?.supplier ?? '',
			status: line.status,
			role: line.role,
			where: line.where.map((w) => `${w.label}: ${w.quantity.toFraction(true)}`).join('; ')
		};
	});
	const inflate = bill.inflate.map((line): Record<(typeof HEAD)[number], string | number> => {
		const colour = catalogue.colours.get(line.colour ?? '');
		return {
			list: 'inflate',
			material: line.label,
			kind: '',
			'bag in': line.bag,
			'size to in': line.gas === 'helium' ? `${line.sizeTo}, helium` : line.sizeTo,
			method: line.method,
			colour: colour?.name ?? openName(line.slot),
			finish: colour?.finish ?? '',
			used: decimal(line.quantity.valueOf()),
			loss: '',
			spares: '',
			'to buy': '',
			unit: '',
			pack: '',
			packs: '',
			supplier: '',
			status: '',
			role: '',
			where: line.where
		};
	});
	return `${Papa.unparse([...buy, ...inflate], { columns: [...HEAD], newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}

/** Six places are finer than any count; a whole number stays one. */
const decimal = (value: number): number => Math.round(value * 1e6) / 1e6;
