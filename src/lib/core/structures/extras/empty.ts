import type { RationalText } from '../../units/rational.ts';
import type { ExtraLine } from './document.ts';

/** A line that is always used, in a plain count. */
export const newLine = (id: string, material: string, quantity: RationalText): ExtraLine => ({
	id,
	material,
	quantity,
	range: null,
	role: 'always',
	taken: true,
	choice: null,
	serves: [],
	swappable: false
});
