import type { NumberStyle } from '../units/number.ts';

/** `Jun 12, 2027`, `12 Jun 2027`, `2027-06-12`. */
export const DATE_STYLES = ['month first', 'day first', 'year first'] as const;
export type DateStyle = (typeof DATE_STYLES)[number];

/** How figures and days are written on what a client reads. */
export interface Formats extends NumberStyle {
	readonly dates: DateStyle;
}
export const USUAL_FORMATS: Formats = { decimal: '.', dates: 'month first' };
