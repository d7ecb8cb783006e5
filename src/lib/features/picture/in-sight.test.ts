import fc from 'fast-check';
import { expect, test } from 'vitest';
import { inSight, type SightDisc } from './in-sight.ts';

const disc = (x: number, y: number, r: number, clear = false): SightDisc => ({ x, y, r, clear });

test('a disc behind a larger one is out of sight; seen through a clear one it is not', () => {
	expect(inSight([disc(50, 50, 8), disc(50, 50, 20)], 100, 100)).toEqual([1]);
	expect(inSight([disc(50, 50, 8), disc(50, 50, 20, true)], 100, 100)).toEqual([0, 1]);
	expect(inSight([disc(50, 50, 20), disc(50, 50, 8)], 100, 100)).toEqual([0, 1]);
});
test('several cover together what none of them covers alone', () => {
	const nearer = [disc(44, 50, 12), disc(56, 50, 12)];
	expect(inSight([disc(50, 50, 6), ...nearer], 100, 100)).toEqual([1, 2]);
});
test('what stands beside, or sticks out by more than a cell, is seen', () => {
	expect(inSight([disc(20, 50, 8), disc(50, 50, 20)], 100, 100)).toEqual([0, 1]);
	expect(inSight([disc(66, 50, 8), disc(50, 50, 20)], 100, 100)).toEqual([0, 1]);
});
test('whatever is left out changes no pixel: every point shows the same disc as with all of them', () => {
	const any = fc.record({ x: fc.integer({ min: 0, max: 80 }), y: fc.integer({ min: 0, max: 60 }), r: fc.integer({ min: 3, max: 24 }), clear: fc.boolean() }); // prettier-ignore
	const front = (discs: readonly (readonly [number, SightDisc])[], x: number, y: number) =>
		discs.findLast(([, d]) => Math.hypot(d.x - x, d.y - y) < d.r)?.[0];
	fc.assert(
		fc.property(fc.array(any, { minLength: 1, maxLength: 30 }), (discs) => {
			const all = discs.map((d, i) => [i, d] as const);
			const kept = inSight(discs, 80, 60).map((i) => [i, discs[i]!] as const);
			for (let x = 1; x < 80; x += 3)
				for (let y = 1; y < 60; y += 3) expect(front(kept, x, y)).toBe(front(all, x, y));
		}),
		{ numRuns: 60 }
	);
});
