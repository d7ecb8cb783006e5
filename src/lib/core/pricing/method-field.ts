import { refuse } from '../errors.ts';
import type { Field } from '../forms/fields.ts';
import { parseBounded } from '../units/number.ts';
import type { Rational } from '../units/rational.ts';
import { METHODS, type LineMethod } from './methods.ts';

/** The field of a method's figure, as it is typed. @param what begins its sentences @param asked whether a price is made by it just now */
export const methodField = (
	method: LineMethod,
	what = METHODS[method].what,
	asked = true
): Field<Rational> => ({
	read(text, { style }) {
		const { most, refused } = METHODS[method];
		const { figure } = METHODS[method];
		const unit = figure === 'per cent' ? ' %' : '';
		const parsed = parseBounded(text, { what, min: 0, max: most, unit }, style);
		const say = parsed.ok && asked ? refused(parsed.value) : undefined;
		return say === undefined ? parsed : refuse('refused', say);
	}
});
