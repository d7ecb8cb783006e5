import { create } from 'xmlbuilder2';
import type { Currency } from '../../core/money/money.ts';
import { rational } from '../../core/units/rational.ts';
import { plainAmount } from './files.ts';
import { paperName, taxesOn, type FrozenPaper } from '../../core/papers/paper.ts';
import type { TaxPart } from '../../core/pricing/taxes.ts';

/** Kinds of tax by UN/ECE code list 5153, from memory: value added, goods and services, state sales tax. */
const TAXES: Readonly<Record<Currency, string>> = {
	EUR: 'VAT',
	GBP: 'VAT',
	CAD: 'GST',
	AUD: 'GST',
	NZD: 'GST',
	USD: 'STT'
};
const NS = 'urn:oasis:names:specification:ubl:schema:xsd:';

/**
 * An invoice or credit note in UBL 2.1, its elements in the order of the schema. Amounts are before tax on the lines;
 * document totals as the invoicing standard EN 16931 sums them: lines − allowance = exclusive, + tax = inclusive,
 * − prepaid = payable.
 */
export function ublOf(paper: FrozenPaper): string {
	const credit = paper.kind === 'credit note';
	const { currency } = paper.total;
	const root = credit ? 'CreditNote' : 'Invoice';
	const at = { currencyID: currency };
	const parts = taxesOn(paper);
	const category = (percent: string) => ({
		'cbc:ID': paper.exempt ? 'E' : rational(percent).equals(0) ? 'Z' : 'S',
		'cbc:Percent': formatPercent(percent)
	});
	const amount = (minor: number) => ({ '@': at, '#': plainAmount(minor) });
	const lineNet = paper.lines.reduce((a, l) => a + l.net.minor, 0);
	const scheme = { 'cac:TaxScheme': { 'cbc:ID': TAXES[currency] } };
	const party = (name: string, address: string, email = '', phone = '') => ({
		'cac:Party': {
			'cac:PartyName': { 'cbc:Name': name },
			...(address ? { 'cac:PostalAddress': { 'cbc:StreetName': address.replace(/\s+/g, ' ') } } : {}),
			'cac:PartyLegalEntity': { 'cbc:RegistrationName': name },
			...(email || phone
				? {
						'cac:Contact': {
							...(phone ? { 'cbc:Telephone': phone } : {}),
							...(email ? { 'cbc:ElectronicMail': email } : {})
						}
					}
				: {})
		}
	});
	const discount = paper.discount.minor;
	const allowance = (part: TaxPart) => ({
		'cbc:ChargeIndicator': 'false',
		'cbc:AllowanceChargeReason': 'Discount',
		'cbc:Amount': amount(part.discount.minor),
		'cac:TaxCategory': { ...category(part.percent), ...exemption(paper), ...scheme }
	});
	const line = (one: FrozenPaper['lines'][number], i: number) => ({
		'cbc:ID': String(i + 1),
		[credit ? 'cbc:CreditedQuantity' : 'cbc:InvoicedQuantity']: {
			'@': { unitCode: 'C62' },
			'#': String(one.quantity)
		},
		'cbc:LineExtensionAmount': amount(one.net.minor),
		'cac:Item': {
			'cbc:Name': one.label,
			'cac:ClassifiedTaxCategory': { ...category(one.tax ?? paper.taxPercent), ...scheme }
		},
		'cac:Price': {
			'cbc:PriceAmount': {
				'@': at,
				'#': (one.net.minor / one.quantity / 100).toFixed(6).replace(/0{1,4}$/, '')
			}
		}
	});
	const document = {
		[root]: {
			'@': {
				xmlns: `${NS}${root}-2`,
				'xmlns:cac': `${NS}CommonAggregateComponents-2`,
				'xmlns:cbc': `${NS}CommonBasicComponents-2`
			},
			'cbc:UBLVersionID': '2.1',
			'cbc:ID': paperName(paper),
			'cbc:IssueDate': paper.day,
			...(!credit && paper.due ? { 'cbc:DueDate': paper.due } : {}),
			[credit ? 'cbc:CreditNoteTypeCode' : 'cbc:InvoiceTypeCode']: credit ? '381' : '380',
			'cbc:DocumentCurrencyCode': currency,
			'cac:OrderReference': { 'cbc:ID': `Q${paper.quote.number}` },
			...(credit && paper.about
				? { 'cac:BillingReference': { 'cac:InvoiceDocumentReference': { 'cbc:ID': paper.about } } }
				: {}),
			'cac:AccountingSupplierParty': party(paper.business.name, paper.business.address, paper.business.email, paper.business.phone), // prettier-ignore
			'cac:AccountingCustomerParty': party(paper.client.name, paper.client.address),
			...(discount > 0
				? { 'cac:AllowanceCharge': parts.filter((p) => p.discount.minor > 0).map(allowance) }
				: {}),
			'cac:TaxTotal': {
				'cbc:TaxAmount': amount(paper.tax.minor),
				'cac:TaxSubtotal': parts.map((part) => ({
					'cbc:TaxableAmount': amount(part.net.minor),
					'cbc:TaxAmount': amount(part.tax.minor),
					'cac:TaxCategory': { ...category(part.percent), ...exemption(paper), ...scheme }
				}))
			},
			'cac:LegalMonetaryTotal': {
				'cbc:LineExtensionAmount': amount(lineNet),
				'cbc:TaxExclusiveAmount': amount(paper.net.minor),
				'cbc:TaxInclusiveAmount': amount(paper.total.minor),
				...(discount > 0 ? { 'cbc:AllowanceTotalAmount': amount(discount) } : {}),
				...(paper.paid.minor > 0 ? { 'cbc:PrepaidAmount': amount(paper.paid.minor) } : {}),
				'cbc:PayableAmount': amount(paper.payable.minor)
			},
			[credit ? 'cac:CreditNoteLine' : 'cac:InvoiceLine']: paper.lines.map(line)
		}
	};
	return create({ version: '1.0', encoding: 'UTF-8' }, clean(document) as never).end({ prettyPrint: true });
}

const exemption = ({ exempt }: FrozenPaper) => (exempt ? { 'cbc:TaxExemptionReason': exempt } : {});
const formatPercent = (percent: string): string =>
	String(Math.round(rational(percent).valueOf() * 1e4) / 1e4);

/** Signs that no XML may hold are taken out of every text. */
function clean(value: unknown): unknown {
	if (typeof value === 'string')
		return value.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '');
	if (Array.isArray(value)) return value.map(clean);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, clean(v)]));
}
