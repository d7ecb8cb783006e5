import type { Parsed } from '../core/errors.ts';
import { parseBounded, type NumberStyle } from '../core/units/number.ts';
import type { Rational } from '../core/units/rational.ts';

/** Reads a margin or a markup; what no price can reach is refused with its reason. */
export function parsePercent(text: string, what: 'margin' | 'markup', style: NumberStyle): Parsed<Rational> {
	if (what === 'markup')
		return parseBounded(text, { what: 'The markup', min: 0, max: 10_000, unit: ' %' }, style);
	const parsed = parseBounded(text, { what: 'The margin', min: 0, unit: ' %' }, style);
	if (parsed.ok && parsed.value.valueOf() >= 100) {
		return {
			ok: false,
			code: 'too-big',
			say: 'No price leaves a margin of 100 % or more. Type less than 100, or price by markup.'
		};
	}
	return parsed;
}
