import { allocate, money, subtract, type Money } from '../money/money.ts';
import type { PaperKind } from '../quote/kinds.ts';
import type { ChosenQuote } from '../quote/chosen.ts';
import { lineName } from '../quote/line-name.ts';
import type { FrozenQuote } from '../quote/frozen.ts';
import type { TaxPart } from '../pricing/taxes.ts';
import { rational, rationalText } from '../units/rational.ts';
import type { Formats } from '../workspace/formats.ts';
import type { Business } from '../workspace/settings.ts';

/** Who a paper is for, as it is written on it. */
export interface PaperClient {
	readonly name: string;
	readonly address: string;
}

/** A line of a paper: its sum before tax, so that the lines and what is taken off sum to the net. */
export interface PaperLine {
	readonly label: string;
	readonly quantity: number;
	readonly net: Money;
	/** Its own rate of tax, per cent; nothing is the paper's. */
	readonly tax?: string | undefined;
}

/** All that a paper shows, as it was made: an order confirmation, a receipt, an invoice, a credit note. */
export interface FrozenPaper {
	readonly version: 1;
	readonly kind: PaperKind;
	readonly number: number;
	/** Calendar day it was made on, where the business is. */
	readonly day: string;
	/** Calendar day it is to be paid by; an invoice has one. */
	readonly due?: string | undefined;
	readonly business: Business;
	readonly client: PaperClient;
	readonly quote: { readonly number: number; readonly revision: number };
	readonly occasion: string;
	readonly eventDate: string | null;
	readonly venue: string;
	readonly lines: readonly PaperLine[];
	/** Taken off, as a positive amount, before tax. */
	readonly discount: Money;
	readonly net: Money;
	readonly taxPercent: string;
	readonly tax: Money;
	/** The tax by its rates, where that is not all of it under {@link taxPercent}. */
	readonly taxes?: readonly TaxPart[] | undefined;
	readonly total: Money;
	/** Paid before it was made. */
	readonly paid: Money;
	/** What is still to be paid; of a receipt what it is for. */
	readonly payable: Money;
	/** Of a receipt, what was paid with it; of a credit note, the number of the invoice it takes back. */
	readonly about?: string | undefined;
	/** Why no tax is on it, where a client is exempt. */
	readonly exempt?: string | undefined;
	/** How its figures and days are written; nothing is the usual way. */
	readonly formats?: Formats | undefined;
}

/**
 * The lines of a chosen quote before tax. With a tax that is in the price each line's own tax is taken out of it and
 * the cents that rounding leaves are shared by largest remainder under each rate, so that under each, and of all,
 * lines − discount = net to the cent.
 */
export function netLines(
	chosen: ChosenQuote,
	{ taxPercent, taxInclusive }: Pick<FrozenQuote, 'taxPercent' | 'taxInclusive'>
): { readonly lines: PaperLine[]; readonly discount: Money } {
	const { currency } = chosen.total;
	const usual = rationalText(rational(taxPercent));
	const said = [
		...chosen.lines.map(({ line, amount }) => ({
			label: lineName(line),
			quantity: line.quantity,
			minor: amount.minor,
			...(line.tax === undefined ? {} : { tax: rationalText(rational(line.tax)) })
		})),
		...(chosen.delivery.minor > 0
			? [{ label: 'Delivery, set up', quantity: 1, minor: chosen.delivery.minor }]
			: [])
	];
	if (!taxInclusive)
		return {
			lines: said.map(({ minor, ...line }) => ({ ...line, net: money(minor, currency) })),
			discount: chosen.discount
		};
	const nets = new Map<(typeof said)[number], Money>();
	for (const { percent, net, discount } of chosen.taxes) {
		const own = said.filter((l) => ('tax' in l ? l.tax : usual) === percent);
		if (own.length === 0) continue;
		const weights = own.map((l) => Math.max(0, l.minor));
		const before = money(net.minor + discount.minor, currency);
		const shares = allocate(before, weights.some((w) => w > 0) ? weights : weights.map(() => 1));
		own.forEach((line, i) => nets.set(line, shares[i]!));
	}
	return {
		lines: said.map((line) => {
			const { minor, ...rest } = line;
			return { ...rest, net: nets.get(line) ?? money(minor, currency) };
		}),
		discount: money(
			chosen.taxes.reduce((a, t) => a + t.discount.minor, 0),
			currency
		)
	};
}

export interface PaperInput {
	readonly kind: PaperKind;
	readonly number: number;
	readonly day: string;
	readonly due?: string | undefined;
	readonly frozen: FrozenQuote;
	readonly chosen: ChosenQuote;
	readonly client: PaperClient;
	/** Paid before, minor units. */
	readonly paidMinor: number;
	/** Of a receipt, what was paid with it; of a credit note, which invoice it takes back. */
	readonly about?: string | undefined;
	readonly payableMinor?: number | undefined;
	readonly exempt?: string | undefined;
}

/** A paper as it is made: nothing on it is looked up later. */
export function makePaper(input: PaperInput): FrozenPaper {
	const { frozen, chosen, kind, paidMinor } = input;
	const { currency } = chosen.total;
	const { lines, discount } = netLines(chosen, frozen);
	const usual = rationalText(rational(frozen.taxPercent));
	const paid = money(paidMinor, currency);
	const left = subtract(chosen.total, paid);
	return {
		version: 1,
		kind,
		number: input.number,
		day: input.day,
		...(input.due ? { due: input.due } : {}),
		business: frozen.business,
		client: input.client,
		quote: { number: frozen.number, revision: frozen.revision ?? 1 },
		occasion: frozen.occasion,
		eventDate: frozen.eventDate,
		venue: frozen.venue,
		lines,
		discount,
		net: chosen.net,
		taxPercent: frozen.taxPercent,
		tax: chosen.tax,
		...(chosen.taxes.some((t) => t.percent !== usual) ? { taxes: chosen.taxes } : {}),
		total: chosen.total,
		paid,
		payable: input.payableMinor === undefined ? left : money(input.payableMinor, currency),
		...(input.about ? { about: input.about } : {}),
		...(input.exempt ? { exempt: input.exempt } : {}),
		...(frozen.formats ? { formats: frozen.formats } : {})
	};
}

/** The tax of a paper by its rates. */
export const taxesOn = ({
	taxes,
	taxPercent: percent,
	discount,
	net,
	tax
}: FrozenPaper): readonly TaxPart[] => taxes ?? [{ percent, discount, net, tax }];

/** How a paper is called, with its number: `INV-0007`. Every kind counts by itself, without gaps. */
export const PAPER_WORDS: Readonly<Record<PaperKind, { readonly title: string; readonly mark: string }>> = {
	confirmation: { title: 'Order confirmation', mark: 'ORD' },
	receipt: { title: 'Receipt', mark: 'REC' },
	invoice: { title: 'Invoice', mark: 'INV' },
	'credit note': { title: 'Credit note', mark: 'CRN' }
};
export const paperName = ({ kind, number }: Pick<FrozenPaper, 'kind' | 'number'>): string =>
	`${PAPER_WORDS[kind].mark}-${String(number).padStart(4, '0')}`;

/** Whether an invoice holds: no credit note of these papers takes it back. */
export const isOpenInvoice = (paper: FrozenPaper, all: readonly FrozenPaper[]): boolean =>
	paper.kind === 'invoice' && !all.some((p) => p.kind === 'credit note' && p.about === paperName(paper));
