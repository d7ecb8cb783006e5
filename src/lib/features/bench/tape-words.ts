import type { Amount } from '../../core/cost/amount.ts';
import { formatAmount, type Money } from '../../core/money/money.ts';

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
