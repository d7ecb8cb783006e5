import { formatAmount, money } from '../../core/money/money.ts';
import type { Risk } from '../../core/study/risk.ts';

/** Minor units as an amount, a dash where there is none. */
export const minorText = (minor: number | undefined): string =>
	minor === undefined || !Number.isFinite(minor) ? '—' : formatAmount(money(Math.round(minor), 'USD'));

/** `7 in 100`, `fewer than 1 in 100`: a chance as it is said. */
export function chanceText(chance: number): string {
	const percent = chance * 100;
	if (percent > 0 && percent < 1) return 'fewer than 1 in 100';
	if (percent < 100 && percent > 99) return 'more than 99 in 100';
	return `${Math.round(percent)} in 100`;
}

/** What a study comes to, in words. @param target margin wanted, per cent */
export function riskWords({ under, loses, p10, p50, p90, because }: Risk, target: number): string[] {
	const most = because.slice(0, 3).map(({ of, share }) => `${of} (${Math.round(share * 100)} %)`);
	return [
		`Of a hundred such jobs half leave more than ${minorText(p50)}, one in ten less than ${minorText(p10)}, one in ten more than ${minorText(p90)}.`,
		`${chanceText(under)} end under the ${Math.round(target * 10) / 10} % you want, ${chanceText(loses)} at a loss.`,
		...(most.length > 0 ? [`Most of it hangs on ${most.join(', ')}.`] : [])
	];
}
