import fc from 'fast-check';
import { parse } from 'csv-parse/sync';
import { convert } from 'xmlbuilder2';
import { describe, expect, test } from 'vitest';
import { readPdf } from '../../../../tests/kit/read-pdf.ts';
import { formatAmount, money, type Money } from '../../core/money/money.ts';
import { netLines, makePaper, paperName, taxesOn, type FrozenPaper } from '../../core/papers/paper.ts';
import { frozenPaperSchema } from '../../core/papers/paper.schema.ts';
import type { ChosenQuote } from '../../core/quote/chosen.ts';
import { PAPER_KINDS } from '../../core/quote/kinds.ts';
import type { FrozenLine, FrozenQuote } from '../../core/quote/frozen.ts';
import { taxesOf } from '../../core/pricing/taxes.ts';
import { rational } from '../../core/units/rational.ts';
import { paperPdf } from '../pdf/paper-sheet.ts';
import { paperDays } from '../services/orders.ts';
import { markOf } from '../../core/workspace/mark.ts';
import { paperCsv, paperJson, quoteCsv, quoteJson } from './files.ts';
import { ublOf } from './ubl.ts';

const usd = (minor: number): Money => money(minor, 'USD');
const line = (name: string, quantity: number): FrozenLine => ({ name, quantity, colourway: '', amount: usd(0), about: '', picture: null }); // prettier-ignore

/** A quote that was said yes to, its sums worked out as the price is: said, then tax on top or taken out of it. */
function ordered(
	amounts: readonly number[],
	delivery: number,
	discount: number,
	percent: number,
	inclusive: boolean,
	other?: string
) {
	const said = Math.max(0, amounts.reduce((a, n) => a + n, 0) + delivery - discount);
	// Every second line stands under the other rate, where there is one.
	const rates = amounts.map((minor, at) => ({ minor, percent: at % 2 === 1 ? other : undefined }));
	const own = taxesOf(
		{ lines: rates, delivery, discount },
		{ percent: String(rational(percent)), inclusive },
		'USD'
	);
	const isMixed = other !== undefined && amounts.length > 1;
	const net = isMixed ? own.net.minor : inclusive ? Math.round(said / (1 + percent / 100)) : said;
	const total = isMixed ? own.total.minor : inclusive ? said : said + Math.round((said * percent) / 100);
	const chosen: ChosenQuote = {
		lines: amounts.map((minor, at) => ({ line: { ...line(`Piece ${at}`, (at % 3) + 1), tax: rates[at]!.percent }, at, amount: usd(minor) })),
		delivery: usd(delivery), discount: usd(discount), subtotal: usd(said + discount),
		net: usd(net), tax: usd(total - net), taxes: own.parts, total: usd(total), deposit: usd(0)
	}; // prettier-ignore
	const frozen = {
		number: 7, taxPercent: String(percent), taxInclusive: inclusive, occasion: 'Regatta', venue: 'Slipway', eventDate: '2027-06-12',
		business: { name: 'Puddlelark', address: '3 Oyster Steps', email: 'hello@puddlelark.example', phone: '555 0142', terms: 'Half before.' }
	} as unknown as FrozenQuote; // prettier-ignore
	return { chosen, frozen };
}
const orders = fc
	.tuple(
		fc.array(fc.integer({ min: 1, max: 300_000 }), { minLength: 1, maxLength: 8 }),
		fc.integer({ min: 0, max: 20_000 }), fc.integer({ min: 0, max: 9_000 }),
		fc.constantFrom(0, 7, 8.875, 19, 20), fc.boolean(), fc.constantFrom(undefined, '0', '5')
	)
	.filter(([amounts, , discount]) => amounts.reduce((a, n) => a + n, 0) > discount)
	.map((own) => ordered(...own)); // prettier-ignore
const invoice = (order: ReturnType<typeof ordered>, more: Partial<FrozenPaper> = {}): FrozenPaper =>
	frozenPaperSchema.parse({
		...makePaper({
			...order, kind: 'invoice', number: 12, day: '2027-06-14', due: '2027-06-28',
			client: { name: 'Tidewick & Sons <Library>', address: '1 Quay Row' }, paidMinor: 0
		}),
		...more
	}); // prettier-ignore

test('an invoice whose lines all stand under one rate of their own says that rate, and so does its exchange file', () => {
	const order = ordered([10_000], 0, 0, 20, false);
	const taxes = taxesOf({ lines: [{ minor: 10_000, percent: '5' }], delivery: 0, discount: 0 }, { percent: '20', inclusive: false }, 'USD');
	const { net, tax, total } = taxes;
	const paper = invoice({ ...order, chosen: { ...order.chosen, net, tax, total, taxes: taxes.parts } });
	expect(taxesOn(paper).map((t) => [t.percent, t.tax.minor])).toEqual([['5', 500]]);
	expect(ublOf(paper)).toContain('<cbc:Percent>5</cbc:Percent>');
	expect(taxesOn(invoice(order)).map((t) => t.percent)).toEqual(['20']);
}); // prettier-ignore

describe('the sums of an invoice, by the rules of EN 16931', () => {
	test('BR-CO-10, 13, 15: lines − allowances = net, net + tax = total, with tax on top or in the price (property)', () => {
		fc.assert(
			fc.property(orders, ({ chosen, frozen }) => {
				const { lines, discount } = netLines(chosen, frozen);
				expect(lines.reduce((a, l) => a + l.net.minor, 0) - discount.minor).toBe(chosen.net.minor);
				for (const own of lines) expect(own.net.minor).toBeGreaterThanOrEqual(0);
			})
		);
	});
	test('by hand, largest remainder: three lines of 1.00 with 20 % in the price are 0.84, 0.83, 0.83 of 2.50', () => {
		const { chosen, frozen } = ordered([100, 100, 100], 0, 0, 20, true);
		expect(netLines(chosen, frozen).lines.map((l) => l.net.minor)).toEqual([84, 83, 83]);
		expect([chosen.net.minor, chosen.tax.minor]).toEqual([250, 50]);
	});
});

interface Ubl {
	readonly [element: string]: Ubl & string;
}
const of = (paper: FrozenPaper) => {
	const xml = convert(ublOf(paper), { format: 'object' }) as unknown as Record<string, Ubl>;
	return xml[paper.kind === 'credit note' ? 'CreditNote' : 'Invoice']!;
};
/** One element or several of a name, as several. */
const listed = (own: unknown): Ubl[] => (own === undefined ? [] : Array.isArray(own) ? own : [own]) as Ubl[];
const sum = (element: Ubl | undefined): number =>
	Math.round(Number((element as unknown as { '#': string })['#']) * 100);
/** The order of elements in UBL 2.1 that are written here. From memory of the schema: a wrong order is refused by it. */
const ORDER = ['cbc:UBLVersionID', 'cbc:ID', 'cbc:IssueDate', 'cbc:DueDate', 'cbc:InvoiceTypeCode', 'cbc:CreditNoteTypeCode', 'cbc:DocumentCurrencyCode', 'cac:OrderReference', 'cac:BillingReference', 'cac:AccountingSupplierParty', 'cac:AccountingCustomerParty', 'cac:AllowanceCharge', 'cac:TaxTotal', 'cac:LegalMonetaryTotal', 'cac:InvoiceLine', 'cac:CreditNoteLine']; // prettier-ignore

describe('an invoice in UBL 2.1', () => {
	test('its totals follow the standard’s rules BR-CO-10 to 17 (property)', () => {
		fc.assert(
			fc.property(orders, fc.constantFrom(0, 500), (order, paid) => {
				const payable = usd(order.chosen.total.minor - paid);
				const paper = invoice(order, { paid: usd(paid), payable });
				const xml = of(paper);
				const totals = xml['cac:LegalMonetaryTotal']!;
				const raw = xml['cac:InvoiceLine'] as unknown as Ubl | Ubl[];
				const lines = listed(raw).map((l) => sum(l['cbc:LineExtensionAmount']));
				const [net, gross, all] = [sum(totals['cbc:TaxExclusiveAmount']), sum(totals['cbc:TaxInclusiveAmount']), sum(totals['cbc:LineExtensionAmount'])]; // prettier-ignore
				const off = totals['cbc:AllowanceTotalAmount'] ? sum(totals['cbc:AllowanceTotalAmount']) : 0;
				const prepaid = totals['cbc:PrepaidAmount'] ? sum(totals['cbc:PrepaidAmount']) : 0;
				expect(lines.reduce((a, n) => a + n, 0)).toBe(all);
				expect(all - off).toBe(net);
				const tax = sum(xml['cac:TaxTotal']!['cbc:TaxAmount']);
				expect(net + tax).toBe(gross);
				expect(gross - prepaid).toBe(sum(totals['cbc:PayableAmount']));
				// BR-CO-14 and 17 under each rate, where the tax is in the price within the cent that the gross price rounds by.
				const parts = listed(xml['cac:TaxTotal']!['cac:TaxSubtotal']).map((p) => [sum(p['cbc:TaxableAmount']), sum(p['cbc:TaxAmount']), Number(p['cac:TaxCategory']!['cbc:Percent'])] as const); // prettier-ignore
				expect(parts.reduce((a, [, own]) => a + own, 0)).toBe(tax);
				for (const [taxable, own, percent] of parts)
					expect(Math.abs(own - (taxable * percent) / 100)).toBeLessThanOrEqual(1);
				// BR-S-8: what is taxed under a rate is its lines less its allowances.
				const rateOf = (l: Ubl) => Number((l['cac:Item'] ?? l)[l['cac:Item'] ? 'cac:ClassifiedTaxCategory' : 'cac:TaxCategory']!['cbc:Percent']); // prettier-ignore
				for (const [taxable, , percent] of parts) {
					const under = (all: Ubl[], what: string) =>
						all.filter((l) => rateOf(l) === percent).reduce((a, l) => a + sum(l[what]), 0);
					const off = under(listed(xml['cac:AllowanceCharge']), 'cbc:Amount');
					expect(under(listed(raw), 'cbc:LineExtensionAmount') - off).toBe(taxable);
				}
				const names = Object.keys(xml).filter((k) => !k.startsWith('@'));
				expect(names).toEqual(ORDER.filter((n) => names.includes(n)));
			}),
			{ numRuns: 60 }
		);
	});
	test('a credit note names the invoice it takes back; an exempt client says why; marks in names are text', () => {
		const credit = of(
			invoice(ordered([5000], 0, 0, 0, false), { kind: 'credit note', about: 'INV-0012', exempt: 'a school' })
		);
		expect(credit['cac:BillingReference']!['cac:InvoiceDocumentReference']!['cbc:ID']).toBe('INV-0012');
		expect(credit['cbc:CreditNoteTypeCode']).toBe('381');
		expect(JSON.stringify(credit)).toContain('a school');
		expect(ublOf(invoice(ordered([5000], 0, 0, 7, false)))).toContain('Tidewick &amp; Sons &lt;Library&gt;');
		expect(ublOf(invoice(ordered([5000], 0, 0, 7, false), { occasion: 'x' }))).not.toMatch(/[\u0000-\u0008]/);
	});
});

describe('papers as files', () => {
	test('every number of a PDF is the frozen one, of every kind (property)', async () => {
		await fc.assert(
			fc.asyncProperty(orders, fc.constantFrom(...PAPER_KINDS), async (order, kind) => {
				const paper = invoice(order, { kind });
				const { text } = await readPdf(await paperPdf(paper, paperDays(paper)));
				const sign = kind === 'credit note' ? -1 : 1;
				const shown = (text.match(/−?\$?[\d,]+\.\d\d(?!\d)/g) ?? []).map((t) => Math.round(Number(t.replace(/[,$]/g, '').replace('−', '-')) * 100));
				const said = [...paper.lines.map((l) => l.net.minor * sign), paper.net.minor * sign, ...(paper.taxes ?? [paper]).map((t) => t.tax.minor * sign), ...(paper.taxes ?? []).map((t) => t.net.minor * sign), paper.total.minor * sign, paper.payable.minor, ...(paper.discount.minor > 0 ? [-paper.discount.minor * sign] : [])];
				const sorted = (all: number[]) => all.map((n) => n + 0).sort((a, b) => a - b);
				expect(sorted(shown)).toEqual(sorted(said));
				expect(text).toContain(paperName(paper));
			}),
			{ numRuns: 25 }
		); // prettier-ignore
	});
	test('where the comma is the decimal mark and the day comes first, a paper is written so; files for machines are not', async () => {
		const formats = { decimal: ',', dates: 'day first' } as const;
		const paper = invoice(ordered([1_255_000, 100], 3000, 500, 8.875, false), { formats });
		const { text } = await readPdf(await paperPdf(paper, paperDays(paper)));
		for (const said of ['12.550,00', '8,875 %', 'Mon 14 Jun 2027', 'Saturday 12 June 2027'])
			expect(text).toContain(said);
		expect(text).not.toMatch(/\d\.\d\d(?!\d)/);
		expect(paperCsv(paper)).toContain('12550.00');
	});
	test('the table is read back by another reader, and a formula in a name is a text', () => {
		const paper = invoice(ordered([12_550, 100], 3000, 500, 7, false), {
			client: { name: '=1+1', address: '' }
		});
		const rows = parse(paperCsv(paper), { columns: true }) as Record<string, string>[];
		expect(rows.find((r) => r.what === 'Total')!.amount).toBe((paper.total.minor / 100).toFixed(2));
		expect(rows.find((r) => r.what === 'Discount')!.amount).toBe('-5.00');
		expect(rows[0]!.client).toBe("'=1+1");
		expect(JSON.parse(paperJson(paper))).toMatchObject({ name: 'INV-0012', total: paper.total });
		expect(formatAmount(paper.discount)).toBe('5.00');
	});
	test('a quote as a table sums to what the client reads', () => {
		const { chosen, frozen } = ordered([12_550, 100], 3000, 500, 7, false);
		const whole = { ...frozen, client: { name: '@SUM(A1)' }, lines: [] } as unknown as FrozenQuote;
		const rows = parse(quoteCsv(whole, chosen), { columns: true }) as Record<string, string>[];
		const of = (what: string) => Number(rows.find((r) => r.what === what)!.amount);
		const lines = rows.filter((r) => r.what!.startsWith('Piece')).reduce((a, r) => a + Number(r.amount), 0);
		expect(lines + of('Delivery') + of('Discount')).toBeCloseTo(of('Net'), 6);
		expect(of('Net') + of('Tax')).toBeCloseTo(of('Total'), 6);
		expect(rows[0]!.client).toBe("'@SUM(A1)");
		expect(JSON.parse(quoteJson(whole, chosen)).chosen.total).toEqual(chosen.total);
	});
	test.each([
		['#2c6e91', '#ffffff'],
		['#ffd84d', '#1b2333'],
		[undefined, '#ffffff']
	])('letters on %s are %s', (colour, ink) =>
		expect(markOf({ mark: 'PB', colour })).toMatchObject({ letters: 'PB', ink })
	);
});
