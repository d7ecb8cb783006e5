import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { heldByGuys, STAKE_HOLDS, standingUp, steadiness } from './standing-up.ts';
import { BALL_DRAG, G, PANEL_DRAG, standsWind, type WindPiece } from './wind.ts';

const piece: WindPiece = { area: 1, middle: 1, weight: 20, toEdge: 0.25, friction: 0.4, centre: 0.5 };
const degrees = (d: number) => (d * Math.PI) / 180;

describe('on a slope', () => {
	test('a block topples where the slope is steeper than half its width over the height of its centre, whatever it weighs (statics)', () => {
		const topples = Math.atan2(piece.toEdge, piece.centre!);
		const grips = { ...piece, friction: 5 };
		for (const weight of [1, 20, 500]) {
			expect(standsWind({ ...grips, weight, slope: topples - 0.01 }, 0).tipsAt).toBeGreaterThan(0);
			expect(standsWind({ ...grips, weight, slope: topples + 0.01 }, 0).tipsAt).toBe(0);
		}
	});
	test('it slides where the slope is steeper than its friction: tan θ = μ (statics)', () => {
		const slides = Math.atan(piece.friction);
		expect(standsWind({ ...piece, slope: slides - 0.01 }, 0).slidesAt).toBeGreaterThan(0);
		const steep = standsWind({ ...piece, slope: slides + 0.01 }, 0);
		expect([steep.slidesAt, steep.more]).toEqual([0, Infinity]);
	});
	test('a slope never makes it steadier (property)', () => {
		fc.assert(
			fc.property(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true }), (a, b) => {
				const [low, high] = [Math.min(a, b), Math.max(a, b)].map((d) => standsWind({ ...piece, slope: degrees(d) }, 6));
				expect(high!.more).toBeGreaterThanOrEqual(low!.more - 1e-9);
				expect(high!.tipsAt).toBeLessThanOrEqual(low!.tipsAt + 1e-9);
			})
		);
	}); // prettier-ignore
	test('level ground is as it always was: 0.613 v² · 0.47 · A against m g d', () => {
		const { force, overturning, resisting } = standsWind(piece, 10);
		expect(force).toBeCloseTo(0.613 * 100 * BALL_DRAG, 9);
		expect([overturning, resisting]).toEqual([force, 20 * G * 0.25]);
	});
	test('a flat panel meets more of it than balls do', () =>
		expect(standsWind({ ...piece, drag: PANEL_DRAG }, 10).force / standsWind(piece, 10).force).toBeCloseTo(1.17 / 0.47, 9)); // prettier-ignore
});

describe('guy lines', () => {
	test('by hand: of three all round the worst wind finds √3⁄2 of one pull, of four a whole one, of two none', () => {
		const moment = (count: number) =>
			heldByGuys([{ count, at: 3, reach: 4 }]).moment / (STAKE_HOLDS * 0.8 * 3);
		expect([moment(2), moment(3), moment(4)].map((v) => Math.round(v * 1000) / 1000)).toEqual([0, 0.866, 1]);
	});
	test('tied to a post they help on grass, not on a floor', () => {
		const recipe = design('p', 'frame mast', 'post 8 ft on plate 16 in', 'guyed 4 at 6 ft out 5 ft', 'section column over mast', '4 11 at 9 white x6'); // prettier-ignore
		const { built, assembly, bill } = tally(recipe, null, 1, {
			catalogue: studio,
			rates,
			library: () => undefined
		});
		const found = standingUp({ built, assembly, bill, catalogue: studio });
		expect(found.guys).toHaveLength(1);
		const [grass, floor] = [true, false].map((staked) => steadiness(found, 8, 0.5, { staked }));
		expect(grass!.wind!.more).toBeLessThan(floor!.wind!.more);
		expect(grass!.wind!.tipsAt).toBeGreaterThan(floor!.wind!.tipsAt);
		expect(grass!.leanNeeds).toBeLessThan(floor!.leanNeeds);
	});
});
