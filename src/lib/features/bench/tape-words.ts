import type { Amount } from '../../core/cost/amount.ts';
import { formatAmount, type Money } from '../../core/money/money.ts';
import type { Price } from '../../core/pricing/price.ts';

/** Money on a tape: a dash for what is not known. */
export const amountText = (money: Money | undefined): string => (money ? formatAmount(money) : '—');

/** A sum on a tape: what is known, and a mark where something is missing. */
export const sumText = ({ known, unknown }: Amount): string =>
	unknown.length > 0 ? `${formatAmount(known)} + ?` : formatAmount(known);

/** `48.3 %`, a dash where there is none. */
export const percentText = (value: number | undefined | null): string =>
	value === undefined || value === null
		? '—'
		: `${(Math.round(value * 10) / 10).toFixed(1)} %`.replace('-', '−');

/** `+1.6`, `−2.14`, `0`: a change. */
export const changeText = (value: number, decimals: number): string => {
	const fixed = Math.abs(value).toFixed(decimals);
	if (Number(fixed) === 0) return '0';
	return `${value < 0 ? '−' : '+'}${fixed}`;
};

/** A price on a tape as it is said to a client; a dash where there is none. */
export const priceText = (price: Price, print: (money: Money) => string = formatAmount): string =>
	price.status === 'priced' ? print(price.said) : '—';

/** What it is that is priced: `Price`, or `Price, at least` where a cost is not known. */
export const atLeast = (word: string, unknown: readonly string[]): string =>
	unknown.length > 0 ? `${word}, at least` : word;
export const atMost = (word: string, unknown: readonly string[]): string =>
	unknown.length > 0 ? `${word}, at most` : word;

/** A figure in a running text or a cell: `at least 85.00` where a cost is not known. */
export const leastText = (figure: string, unknown: readonly string[]): string =>
	unknown.length > 0 ? `at least ${figure}` : figure;
export const mostText = (figure: string, unknown: readonly string[]): string =>
	unknown.length > 0 ? `at most ${figure}` : figure;

/** Why a price is only a least one: the first costs that nobody knows, by their names. */
export function missingText(unknown: readonly string[]): string {
	if (unknown.length === 0) return '';
	const some = unknown
		.slice(0, 3)
		.map((name) => name.replace(/^for (?=each )/, ''))
		.join('; ');
	const more = unknown.length > 3 ? ` and ${unknown.length - 3} more` : '';
	return `No cost is known yet for ${some}${more}.`;
}
