import { halfAwayFromZero } from '../money/half-away-from-zero.ts';
import { allocate, money, type Currency, type Money } from '../money/money.ts';
import { ONE, rational, rationalText, type RationalText } from '../units/rational.ts';

/** What stands under one rate of tax. */
export interface TaxPart {
	readonly percent: RationalText;
	/** Taken off of what stands under it, before tax, as a positive amount. */
	readonly discount: Money;
	/** Before tax, after the discount. */
	readonly net: Money;
	readonly tax: Money;
}

/** Net + tax = total, and so are the sums of their parts. */
export interface Taxed {
	/** A part for each rate: the usual one first, then as they come. One at least. */
	readonly parts: readonly TaxPart[];
	readonly net: Money;
	readonly tax: Money;
	readonly total: Money;
}

/** A price as it is said, in minor units: with tax in it, or before tax. */
export interface ToTax {
	readonly lines: readonly { readonly minor: number; readonly percent?: RationalText | undefined }[];
	/** Under the usual rate. */
	readonly delivery: number;
	/** Taken off the lines, by what they come to: largest remainder. */
	readonly discount: number;
}

/** The discount as each line bears it, minor units, largest remainder; on nothing where no line is above 0. */
export function discountShares(lines: readonly number[], discount: number, currency: Currency): number[] {
	const weights = lines.map((minor) => Math.max(0, minor));
	if (discount === 0 || weights.every((w) => w === 0)) return lines.map(() => 0);
	return allocate(money(discount, currency), weights).map((m) => m.minor);
}

/**
 * The tax of a price whose lines may stand under different rates. Each rate taxes the sum of what stands under it, and is
 * rounded once, half away from zero; the tax is the sum over the rates (EN 16931-1:2017, BR-CO-14 and BR-CO-17, from memory).
 * @param terms the usual rate, and whether prices are said with tax
 */
export function taxesOf(
	{ lines, delivery, discount }: ToTax,
	{ percent, inclusive }: { readonly percent: RationalText; readonly inclusive: boolean },
	currency: Currency
): Taxed {
	const amounts = lines.map((l) => l.minor);
	const shares = discountShares(amounts, discount, currency);
	// What no line can bear comes off all of it.
	const unborne = discount - shares.reduce((a, s) => a + s, 0);
	const usual = rationalText(rational(percent));
	const groups = new Map([[usual, { said: delivery - unborne, off: unborne, any: delivery !== 0 }]]);
	lines.forEach(({ minor, percent: own }, i) => {
		const rate = own === undefined ? usual : rationalText(rational(own));
		const { said, off } = groups.get(rate) ?? { said: 0, off: 0 };
		groups.set(rate, { said: said + minor - shares[i]!, off: off + shares[i]!, any: true });
	});
	const kept = [...groups].filter(([, { any }]) => any || groups.size === 1);
	const parts = kept.map(([rate, { said, off }]): TaxPart => {
		const part = rational(rate).div(100);
		const before = (minor: number) =>
			inclusive ? halfAwayFromZero(rational(minor).div(part.add(ONE))) : minor;
		const net = before(said);
		const tax = inclusive ? said - net : halfAwayFromZero(part.mul(net));
		return {
			percent: rate,
			discount: money(before(off), currency),
			net: money(net, currency),
			tax: money(tax, currency)
		};
	});
	const sum = (read: (p: TaxPart) => Money) => parts.reduce((a, p) => a + read(p).minor, 0);
	const [net, tax] = [sum((p) => p.net), sum((p) => p.tax)];
	return {
		parts,
		net: money(net, currency),
		tax: money(tax, currency),
		total: money(net + tax, currency)
	};
}
