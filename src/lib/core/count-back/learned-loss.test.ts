import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { rates } from '../../../../tests/kit/studio.ts';
import { countLines } from './count-lines.ts';
import { learnedLoss, lostOf, PRIOR_PIECES } from './learned-loss.ts';

describe('a loss that is learned: gamma and Poisson', () => {
	test('by hand: 4 % said, 20 lost of 200 counted: 28 of 400, 7 %', () =>
		expect(learnedLoss(0.04, { used: 200, lost: 20 })).toEqual({ share: 0.07, sd: Math.sqrt(28) / 400 }));
	test('nothing counted changes nothing', () =>
		expect(learnedLoss(0.04, { used: 0, lost: 0 }).share).toBe(0.04));
	test('its mean and spread are those of the posterior, integrated over densities of a statistics library', () => {
		const [said, used, lost] = [0.04, 120, 9];
		const step = 0.00002;
		let [mass, first, second] = [0, 0, 0];
		for (let rate = step / 2; rate < 0.4; rate += step) {
			const p =
				jstat.gamma.pdf(rate, said * PRIOR_PIECES, 1 / PRIOR_PIECES) * jstat.poisson.pdf(lost, rate * used);
			mass += p;
			first += p * rate;
			second += p * rate * rate;
		}
		const mean = first / mass;
		const learned = learnedLoss(said, { used, lost });
		expect(learned.share).toBeCloseTo(mean, 6);
		expect(learned.sd).toBeCloseTo(Math.sqrt(second / mass - mean * mean), 6);
	});
	test('it lies between what was said and what was counted, nearer the more was counted (property)', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.001, max: 0.5, noNaN: true }), fc.integer({ min: 1, max: 5000 }), fc.nat({ max: 100 }), (said, used, percent) => {
				const lost = Math.round((used * percent) / 100);
				const { share } = learnedLoss(said, { used, lost });
				const [low, high] = [Math.min(said, lost / used), Math.max(said, lost / used)];
				expect(share).toBeGreaterThanOrEqual(low - 1e-12);
				expect(share).toBeLessThanOrEqual(high + 1e-12);
				expect(learnedLoss(said, { used: 2 * used, lost: 2 * lost }).sd).toBeLessThan(learnedLoss(said, { used, lost: 2 * lost }).sd + 1e-12);
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
		expect([...found]).toEqual([['11-white', { used: 100.5, lost: 3 }]]);
	});
});
