import Papa from 'papaparse';
import type { Money } from '../../core/money/money.ts';
import type { ChosenQuote } from '../../core/quote/chosen.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import { lineName } from '../../core/quote/line-name.ts';
import { rateText } from '../../core/pricing/price-tape.ts';
import { paperName, PAPER_WORDS, taxesOn, type FrozenPaper } from '../../core/papers/paper.ts';
import { FORMULA } from '../services/bill-csv.ts';

/** An amount as machines read it: figures and a point, `-12.50`. Every currency here has hundredths. */
export const plainAmount = (minor: number): string => (minor / 100).toFixed(2);

/** What a table program would work out as a formula; a sum below nothing is none. */
const FORMULA_BUT_AMOUNTS = new RegExp(`(?!^-?\\d+\\.\\d{2}$)(?:${FORMULA.source})`, 'u');

/** A tax as it is called in a table: with its rate where there are several. */
const taxName = (percent: string, all: readonly unknown[]): string =>
	all.length > 1 ? `Tax ${rateText(percent)}` : 'Tax';

/** A paper as a table: a line each, then its sums. */
export function paperCsv(paper: FrozenPaper): string {
	const { currency } = paper.total;
	const row = (what: string, quantity: number | '', minor: number) => ({
		paper: paperName(paper),
		day: paper.day,
		client: paper.client.name,
		what,
		quantity,
		amount: plainAmount(minor),
		currency
	});
	return Papa.unparse(
		[
			...paper.lines.map((l) => row(l.label, l.quantity, l.net.minor)),
			...(paper.discount.minor > 0 ? [row('Discount', '', -paper.discount.minor)] : []),
			row('Net', '', paper.net.minor),
			...taxesOn(paper).map(({ percent, tax }, _, all) => row(taxName(percent, all), '', tax.minor)),
			row('Total', '', paper.total.minor),
			row('Paid before', '', paper.paid.minor),
			row(paper.kind === 'receipt' ? 'Paid with this' : 'To pay', '', paper.payable.minor)
		],
		{ newline: '\r\n', escapeFormulae: FORMULA_BUT_AMOUNTS }
	);
}

/** A paper as a document a program reads: what is on it, and nothing else. */
export const paperJson = (paper: FrozenPaper): string =>
	JSON.stringify({ title: PAPER_WORDS[paper.kind].title, name: paperName(paper), ...paper }, null, '\t');

/** A quote as the client reads it, as a table: a line each, then its sums. */
export function quoteCsv(frozen: FrozenQuote, chosen: ChosenQuote): string {
	const row = (what: string, quantity: number | '', { minor, currency }: Money) => ({
		quote: frozen.number,
		revision: frozen.revision ?? 1,
		client: frozen.client.name,
		what,
		quantity,
		amount: plainAmount(minor),
		currency
	});
	return Papa.unparse(
		[
			...chosen.lines.map(({ line, amount }) => row(lineName(line), line.quantity, amount)),
			row('Delivery', '', chosen.delivery),
			row('Discount', '', { ...chosen.discount, minor: -chosen.discount.minor }),
			row('Net', '', chosen.net),
			...chosen.taxes.map(({ percent, tax }, _, all) => row(taxName(percent, all), '', tax)),
			row('Total', '', chosen.total),
			row('Deposit', '', chosen.deposit)
		],
		{ newline: '\r\n', escapeFormulae: FORMULA_BUT_AMOUNTS }
	);
}

/** A quote as the client reads it, without its pictures. */
export const quoteJson = (frozen: FrozenQuote, chosen: ChosenQuote): string =>
	JSON.stringify(
		{
			...frozen,
			lines: frozen.lines.map((line) => ({ ...line, picture: undefined })),
			chosen: { ...chosen, lines: chosen.lines.map(({ at, amount }) => ({ at, amount })) }
		},
		null,
		'\t'
	);
