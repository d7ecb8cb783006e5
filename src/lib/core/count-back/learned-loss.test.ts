import fc from 'fast-check';
import integrate from 'integrate-adaptive-simpson';
import { describe, expect, test } from 'vitest';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { rates } from '../../../../tests/kit/studio.ts';
import { countLines } from './count-lines.ts';
import { learnedLoss, lostOf, PRIOR_PIECES } from './learned-loss.ts';

describe('a loss that is learned: beta and binomial', () => {
	test('by hand: 4 % said, 20 lost of 200 counted: 28 of 400, 7 %', () =>
		expect(learnedLoss(0.04, { used: 200, lost: 20 }).share).toBeCloseTo(0.07, 12));
	test('nothing counted changes nothing', () =>
		expect(learnedLoss(0.04, { used: 0, lost: 0 }).share).toBeCloseTo(0.04, 12));
	test('nothing said and nothing lost: 0, and 1 − 0.1^(1/n) at most with nine chances in ten, the closed form', () => {
		const { share, low, high } = learnedLoss(0, { used: 100, lost: 0 });
		expect([share, low]).toEqual([0, 0]);
		expect(high).toBeCloseTo(1 - 0.1 ** (1 / 300), 8);
	});
	test('nine tenths of the posterior, integrated, lie within its ends, a twentieth below and above', () => {
		for (const [said, used, lost] of [[0.04, 120, 9], [0.02, 900, 3], [0.5, 10, 10]] as const) {
			const [a, b] = [said * PRIOR_PIECES + lost, (1 - said) * PRIOR_PIECES + used - lost];
			const density = (x: number) => (x <= 0 || x >= 1 ? 0 : Math.exp((a - 1) * Math.log(x) + (b - 1) * Math.log1p(-x) - peak));
			const mode = (a - 1) / (a + b - 2);
			const peak = (a - 1) * Math.log(mode) + (b - 1) * Math.log1p(-mode);
			const mass = (from: number, to: number) => integrate(density, from, to, 1e-12, 40);
			const all = mass(0, mode) + mass(mode, 1);
			const { share, low, high } = learnedLoss(said, { used, lost });
			expect(mass(0, low) / all).toBeCloseTo(0.05, 4);
			expect(mass(high, 1) / all).toBeCloseTo(0.05, 4);
			expect(share).toBeCloseTo(a / (a + b), 12);
		}
	}); // prettier-ignore
	test('it lies between what was said and what was counted, nearer the more was counted (property)', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.001, max: 0.5, noNaN: true }), fc.integer({ min: 1, max: 5000 }), fc.nat({ max: 100 }), (said, used, percent) => {
				const lost = Math.round((used * percent) / 100);
				const { share } = learnedLoss(said, { used, lost });
				const [low, high] = [Math.min(said, lost / used), Math.max(said, lost / used)];
				expect(share).toBeGreaterThanOrEqual(low - 1e-12);
				expect(share).toBeLessThanOrEqual(high + 1e-12);
				const [once, twice] = [learnedLoss(said, { used, lost }), learnedLoss(said, { used: 2 * used, lost: 2 * lost })];
				// More of the same is surer, as far as it does not move to where shares spread more.
				if (Math.abs(twice.share - once.share) < 1e-3) expect(twice.high - twice.low).toBeLessThan(once.high - once.low + 1e-3);
				expect(once.low <= once.share && once.share <= once.high).toBe(true);
			})
		);
	}); // prettier-ignore
	test('counted lines find their material by colour and size, over all builds', () => {
		const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
		const context = { rates, catalogue: studio, library: () => undefined };
		const lines = countLines(column, { colourway: null, size: null, quantity: 2 }, context);
		const white = lines.find((l) => l.label.includes('white'))!;
		const counted = { key: white.key, label: white.label, recipe: '48', took: '50', lost: 2 };
		const found = lostOf(
			[
				[counted],
				[
					{ ...counted, took: '101/2', lost: 1 },
					{ ...counted, key: 'balloon:nothing' }
				]
			],
			studio
		);
		expect([...found]).toEqual([['11-white', { used: 100.5, lost: 3, jobs: 2 }]]);
	});
});
