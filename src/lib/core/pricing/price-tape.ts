import type { Money } from '../money/money.ts';
import type { NumberStyle } from '../units/number.ts';
import { printNumber } from '../units/print-number.ts';
import { rational } from '../units/rational.ts';
import { figureText, METHODS } from './methods.ts';
import type { Priced } from './price.ts';
import type { PriceTerms, Way } from './terms.ts';

/** A line of the tape that leads from a cost to what the client pays. */
export interface PriceRow {
	readonly id: string;
	readonly label: string;
	readonly amount: Money;
	/** Margin of the whole after it, per cent; undefined where none is said. */
	readonly margin?: number | undefined;
	/** `sum`: what the lines above it come to. `aside`: beside the sum, not in it. */
	readonly as: 'line' | 'sum' | 'aside';
}

/** `8.875 %`: a rate as it was said, nothing rounded away. */
export const rateText = (percent: string, style?: NumberStyle): string =>
	`${printNumber(rational(percent), style)} %`;

/** `target margin 48 %`, `markup 90 %`, `floor for your own hour 35.00 an hour`. */
export function wayText({ method, percent }: Way): string {
	const { called, figure, unit } = METHODS[method];
	if (figure === 'per cent') return `${called} ${rateText(percent)}`;
	const typed = figureText(method, percent);
	if (figure === 'times') return `${printNumber(rational(percent))} × materials, and hours`;
	return `${called} ${figure === 'money' ? rational(typed).valueOf().toFixed(2) : printNumber(rational(typed))} ${unit}`.trim();
}

/**
 * The price as a tape: lines, each step with what the order leaves after it, delivery, the price as it is said, tax,
 * what the client pays. Lines add up to the sum below them.
 */
export function priceTape(price: Priced, terms: PriceTerms, hasDelivery = false): PriceRow[] {
	const [first] = price.lines;
	const alike = first && price.lines.every((l) => wayText(l.way) === wayText(first.way));
	const rows: PriceRow[] = [
		{
			id: 'base',
			label: alike ? `by ${wayText(first.way)}` : 'each by its own way',
			amount: price.base,
			as: 'line'
		}
	];
	for (const { id, change, left, margin } of price.steps)
		rows.push(
			{ id, label: id, amount: change, as: 'line' },
			{ id: `after ${id}`, label: 'leaves after fees', amount: left, margin, as: 'aside' }
		);
	if (hasDelivery) rows.push({ id: 'delivery', label: 'delivery', amount: price.delivery, as: 'line' });
	const { percent, inclusive } = terms.tax;
	const { taxes } = price;
	const taxRows = (say: (rate: string) => string, as: 'line' | 'aside'): PriceRow[] =>
		taxes.map(({ percent: rate, tax: amount }, i) => ({
			id: i === 0 ? 'tax' : `tax ${rate}`,
			label: say(rateText(rate)),
			amount,
			as
		}));
	const taxed = price.tax.minor !== 0 || rational(percent).compare(0) > 0;
	if (!taxed) return [...rows, { id: 'said', label: 'price', amount: price.said, as: 'sum' }];
	if (inclusive)
		return [
			...rows,
			{ id: 'said', label: 'price with tax', amount: price.said, as: 'sum' },
			...taxRows((rate) => `tax in it, ${rate}`, 'aside'),
			{ id: 'net', label: 'before tax', amount: price.net, as: 'aside' }
		];
	return [
		...rows,
		{ id: 'said', label: 'before tax', amount: price.said, as: 'sum' },
		...taxRows((rate) => `tax ${rate}`, 'line'),
		{ id: 'total', label: 'with tax', amount: price.total, as: 'sum' }
	];
}

/** The tape without what its last step leaves, for where that stands below as the margin. */
export function withoutLastLeft(rows: readonly PriceRow[]): PriceRow[] {
	const last = rows.findLast((r) => r.id.startsWith('after '));
	return rows.filter((r) => r !== last);
}
