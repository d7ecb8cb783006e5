import { formatMoney, money } from '../../core/money/money.ts';
import { printNumber } from '../../core/units/print-number.ts';
import { rational, type Rational } from '../../core/units/rational.ts';
import type { Settings } from '../../core/workspace/settings.ts';

/** Figures of a job as pages say them. Money in minor units; minus and plus as signs that are read. */
export function figureWords({ decimal, rates: { currency } }: Settings) {
	const style = { decimal };
	const amount = (minor: number | undefined): string =>
		minor === undefined ? 'not known' : formatMoney(money(minor, currency), style);
	/** To a tenth. */
	const tenths = (value: number): string => printNumber(rational(Math.round(value * 10), 10), style);
	return {
		style,
		amount,
		tenths,
		/** `+$4.20`, `−$4.20`. */
		signed: (minor: number): string => `${minor > 0 ? '+' : minor < 0 ? '−' : ''}${amount(Math.abs(minor))}`,
		/** Blank where it is not known. */
		percent: (value: number | undefined): string =>
			value === undefined ? '' : `${value < 0 ? '−' : ''}${tenths(Math.abs(value))} %`,
		/** Whole or to a tenth. */
		count: (n: Rational): string => (n.d === 1n ? printNumber(n, style) : tenths(n.valueOf()))
	};
}
export type FigureWords = ReturnType<typeof figureWords>;
