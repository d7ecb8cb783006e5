import fc from 'fast-check';
import { bagsIn } from '../../src/lib/core/by-hand/answers.ts';
import type { Answers, Asked } from '../../src/lib/core/by-hand/asked.ts';
import { feet, inches, um } from '../../src/lib/core/units/length.ts';
import { colours, floating } from './studio.ts';

/** Anything that a field may hold, in the invented Stockroom of tests. */
export function anyOf(field: Asked): fc.Arbitrary<Answers[string]> {
	const halves = fc.integer({ min: 4, max: 70 }).map((n) => um(n * inches(0.5)));
	const balloon = fc.record({
		nominal: fc.constantFrom(...bagsIn({ materials: floating, colours })),
		size: halves
	});
	switch (field.kind) {
		case 'length': {
			const step = field.max < feet(8) ? inches(1) : feet(0.5);
			return fc.integer({ min: Math.ceil(field.min / step), max: Math.min(40, Math.floor(field.max / step)) }).map((n) => um(n * step)); // prettier-ignore
		}
		case 'balloon':
			return balloon;
		case 'balloon or none':
			return fc.option(balloon);
		case 'count':
			return fc.integer({ min: field.min, max: Math.min(field.max, field.min + 12) });
		case 'colours':
			return fc.uniqueArray(fc.constantFrom('white', 'red', 'gold', 'grey'), { maxLength: field.most });
		case 'choice':
			return fc.constantFrom(...field.options.map(([value]) => value));
		case 'thing': {
			const own = floating.filter((m) => field.kinds.includes(m.kind)).map((m) => m.id);
			return own.length === 0 ? fc.constant(null) : fc.option(fc.constantFrom(...own));
		}
		case 'text':
			return fc.constantFrom('5', 'AB', '10', 'HI', '#', '');
	}
}
