import { bench, describe } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from './tally.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const colours = ['white', 'red', 'gold', 'spiral left white / red / gold', 'checker red / white'];
/** Sixty rows, each unlike the last: nothing can be counted once for two of them. */
const sixty = design(
	'sixty',
	...Array.from({ length: 60 }, (_, i) => `4 11 at ${(70 + (i % 17)) / 8} ${colours[i % colours.length]}`)
);
const sixRows = design(
	'six rows',
	...Array.from({ length: 6 }, (_, i) => `4 11 at ${8 + i / 4} ${colours[i % 5]} x10`)
);

describe('recompute (geometry, bill, cost, price); issue: under 2 ms median for 60 layers', () => {
	// Fresh copies, so that nothing kept by identity helps.
	const copies = Array.from({ length: 400 }, () => structuredClone(sixty));
	let turn = 0;
	bench('60 layers in 60 rows', () => void tally(copies[turn++ % 400]!, null, 1, context), {
		iterations: 300
	});
	bench('60 layers in 6 rows', () => void tally(sixRows, null, 1, context));
});
