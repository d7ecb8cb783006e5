import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { catalogueOf, colours, designOf, materials, rates } from '../../../../tests/kit/studio.ts';
import { PLAIN_MATERIAL } from '../materials/material.ts';
import { tally } from '../tally/tally.ts';
import { inches } from '../units/length.ts';
import { balanceOf, knownFoot, silhouette, standingUp, steadiness, LEAN } from './standing-up.ts';
import { G } from './wind.ts';

const plate = { ...PLAIN_MATERIAL, id: 'plate', kind: 'base' as const, name: 'steel plate', grams: 10_000, packs: [{ id: 'p', supplier: 'Quayside Supply', count: 1, priceMinor: 100 }] }; // prettier-ignore
const tube = { ...PLAIN_MATERIAL, id: 'tube', kind: 'pipe' as const, name: 'steel tube', unit: 'ft' as const, grams: 304.8, packs: [{ id: 't', supplier: 'Quayside Supply', count: 10, priceMinor: 100 }] }; // prettier-ignore
const all = [...materials, plate, tube];
const catalogue = catalogueOf(all, colours);
const standing = (more: { base?: number | null; ballast?: number }, ...lines: string[]) => {
	const { built, assembly, bill } = tally(designOf(all, 'piece', lines), null, 1, { catalogue, rates, library: () => undefined }); // prettier-ignore
	return standingUp({ built, assembly, bill, catalogue, ...more });
};

describe('what the wind sees', () => {
	test('a ball of a metre is π/4 m² with its middle where it hangs; two that hide each other are one', () => {
		const ball = { x: 0, y: 0, z: 2000, r: 500 };
		const one = silhouette([ball], 'front');
		expect(one.area).toBeCloseTo(Math.PI / 4, 2);
		expect(one.middle).toBeCloseTo(2, 2);
		expect(silhouette([ball, { ...ball, y: 900 }], 'front').area).toBe(one.area);
		expect(silhouette([ball, { ...ball, y: 1000 }], 'side').area).toBeCloseTo(Math.PI / 2, 1);
	});
	test('never more than the sum of its balls, never less than the largest (property)', () => {
		const disc = fc.record({
			x: fc.integer({ min: -2000, max: 2000 }), y: fc.integer({ min: -500, max: 500 }),
			z: fc.integer({ min: 300, max: 3000 }), r: fc.integer({ min: 60, max: 300 })
		}); // prettier-ignore
		fc.assert(
			fc.property(fc.array(disc, { minLength: 1, maxLength: 20 }), (discs) => {
				const { area, middle } = silhouette(discs, 'front');
				// A cell is covered where its middle is: its corners are half a diagonal of 25 mm further.
				const own = (by: number) => discs.map((d) => (Math.PI * (d.r + by) ** 2) / 1e6);
				const half = 25 / Math.SQRT2;
				expect(area).toBeLessThanOrEqual(own(half).reduce((a, b) => a + b, 0));
				expect(area).toBeGreaterThanOrEqual(Math.max(...own(-half)));
				expect(middle).toBeGreaterThan(0);
			})
		);
	});
});

describe('how it stands', () => {
	test('by hand: a post of 10 ft of a kilogram a metre on a plate of 10 kg, 20 in wide: 13.05 kg, its middle at 0.36 m', () => {
		const found = standing({}, 'frame mast', 'post 10 ft of steel tube on steel plate 20 in');
		expect(found.kg).toBeCloseTo(10 + 3.048, 6);
		expect(found.centre.z).toBeCloseTo((10 * 9 + 3.048 * 1524) / 13.048, 3);
		expect(found.toEdge).toBeCloseTo(254, 6);
		expect(found.tipsAt).toBeCloseTo((Math.atan(254 / found.centre.z) * 180) / Math.PI, 6);
		expect(found.weights.map((w) => [w.what, w.estimated])).toEqual([['frame', false]]);
	});
	test('by hand: someone who leans with 100 N at 1.1 m needs 110 N m: 44.2 kg over 10 in', () => {
		const found = standing({}, 'frame mast', 'post 10 ft of steel tube on steel plate 20 in');
		const { leanNeeds, bearsLean } = steadiness(found, 5, 0.4);
		expect(leanNeeds).toBeCloseTo((LEAN.force * LEAN.at) / (G * 0.254), 6);
		expect(bearsLean).toBe(false);
		const heavier = standing({ ballast: leanNeeds - found.kg + 0.01 }, 'frame mast', 'post 10 ft of steel tube on steel plate 20 in');
		expect(steadiness(heavier, 5, 0.4).bearsLean).toBe(true);
	}); // prettier-ignore
	test('a column of latex alone weighs what its balloons do, and stands on its lowest ring; gas takes from it, sand adds', () => {
		const column = standing({}, '4 11 at 9 white x6');
		expect(column.kg).toBeCloseTo((24 * 3) / 1000, 6);
		expect(column.toEdge).toBeGreaterThan(50);
		expect(column.top).toBeGreaterThan(900);
		const filled = standing({}, '4 11 at 9 white filled with sand', '4 11 at 9 white x5');
		expect(filled.kg).toBeGreaterThan(column.kg + 1);
		expect(filled.centre.z).toBeLessThan(column.centre.z);
	});
	test('a door without feet stands on a line: it falls by itself, and no ballast is said to help', () => {
		const found = standing({}, 'frame gate', 'door 8 ft by 7 ft of steel tube no base');
		expect(found.toEdge).toBeLessThanOrEqual(0);
		expect(steadiness(found, 5, 0.4)).toMatchObject({
			wind: undefined,
			bearsLean: false,
			leanNeeds: Infinity
		});
	});
	test('more wind needs no less on its foot, and what is said to be missing makes it hold (property)', () => {
		const lines = ['frame gate', 'door 8 ft by 7 ft feet 4 ft of steel tube', 'run rope', 'along gate', '4 11 at 9 white'];
		const plain = standing({}, ...lines);
		fc.assert(
			fc.property(fc.double({ min: 0.5, max: 14, noNaN: true }), (gust) => {
				const { wind } = steadiness(plain, gust, 0.4);
				expect(steadiness(plain, gust + 1, 0.4).wind!.more).toBeGreaterThanOrEqual(wind!.more);
				const held = standing({ ballast: wind!.more + 0.01 }, ...lines);
				expect(steadiness(held, gust, 0.4).wind!.holds).toBe(true);
			}),
			{ numRuns: 12 }
		);
	}); // prettier-ignore
});

describe('a base whose size the Stockroom knows', () => {
	const wide = { ...plate, id: 'wide', name: 'wide stand', facts: { wide: inches(24), deep: inches(16) } };
	const own = [...materials, wide];
	const knows = catalogueOf(own, colours);
	const worked = (times: number, ...lines: string[]) => tally(designOf(own, 'piece', lines), null, times, { catalogue: knows, rates, library: () => undefined }); // prettier-ignore
	const lines = ['4 11 at 9 white x10', '1 wide stand'];
	test('by hand: a column stands over its 24 by 16 inches, 8 to the nearer edge; of two of it each stands on its own', () => {
		for (const times of [1, 2]) {
			const { built, assembly, bill } = worked(times, ...lines);
			expect(knownFoot({ built, bill, quantity: times })).toEqual({ wide: 609.6, deep: 406.4 });
			expect(balanceOf({ built, assembly, bill, quantity: times, catalogue: knows }).toEdge).toBeCloseTo(
				203.2,
				6
			);
		}
	});
	test('of two bases, or one nobody measured, nothing is known', () => {
		const two = worked(1, '4 11 at 9 white x10', '2 wide stand');
		expect(knownFoot({ built: two.built, bill: two.bill })).toBeUndefined();
		expect(worked(1, ...lines).bill.lines.some((l) => l.material?.facts?.wide === inches(24))).toBe(true);
	});
});
