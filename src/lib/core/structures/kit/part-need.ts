import type { PARTS } from '../../document/rule.ts';
import { rational } from '../../units/rational.ts';
import type { Need } from './need.ts';

/** So many parts of a piece, for the rules that count them; none is nothing. */
export const partNeed = (of: (typeof PARTS)[number], count: number): Need[] =>
	count > 0 ? [{ what: 'count', of, quantity: rational(count) }] : [];
