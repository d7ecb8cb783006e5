import { MICROMETRES, type Micrometres } from './length.ts';
import { rational, type Rational } from './rational.ts';

/** What is sold by the square foot. */
export const SQUARE_FEET = 'sq ft';

/** A rectangle in square feet, exactly. */
export const squareFeet = (wide: Micrometres, deep: Micrometres): Rational =>
	rational(wide, MICROMETRES.ft).mul(rational(deep, MICROMETRES.ft));
