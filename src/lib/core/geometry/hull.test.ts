import { polygonContains, polygonHull } from 'd3-polygon';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { convexHull, insideBy, type PlanePoint } from './hull.ts';

const coordinate = fc.integer({ min: -5000, max: 5000 });
const points = fc.array(fc.tuple(coordinate, coordinate), { minLength: 1, maxLength: 30 });
const area = (hull: readonly PlanePoint[]) =>
	hull.reduce((a, [x, y], i) => a + x * hull[(i + 1) % hull.length]![1] - hull[(i + 1) % hull.length]![0] * y, 0) / 2; // prettier-ignore

test('the outline is that of a geometry library, whatever the points (property)', () => {
	fc.assert(
		fc.property(points, (all) => {
			const own = convexHull(all);
			const theirs = polygonHull(all as [number, number][]);
			const isFlat = own.length < 3;
			if (theirs && !isFlat) {
				const sorted = (hull: readonly PlanePoint[]) => hull.map((p) => p.join()).sort();
				expect(sorted(own)).toEqual(sorted(theirs.filter((p) => own.some((q) => q.join() === p.join()))));
				expect(Math.abs(area(own))).toBeCloseTo(Math.abs(area(theirs)), 3);
			}
		})
	);
});
test('a point is inside where the library says so, by its distance to the nearest edge (property)', () => {
	fc.assert(
		fc.property(points, fc.tuple(coordinate, coordinate), (all, at) => {
			const hull = convexHull(all);
			const by = insideBy(hull, at);
			if (hull.length < 3 || Math.abs(by) < 1e-6) return;
			expect(by > 0).toBe(polygonContains(hull as [number, number][], at));
		})
	);
});
test('by hand: the middle of a plate of 300 by 200 is 100 from its edge, a point 50 outside is −50; of a line nothing is inside', () => {
	const plate = convexHull([[0, 0], [300, 0], [300, 200], [0, 200], [150, 100]]); // prettier-ignore
	expect(plate).toHaveLength(4);
	expect(insideBy(plate, [150, 100])).toBe(100);
	expect(insideBy(plate, [350, 100])).toBe(-50);
	expect(insideBy(convexHull([[0, 0], [10, 0]]), [5, 0])).toBe(-0); // prettier-ignore
	expect(insideBy(convexHull([[0, 0], [10, 0]]), [5, 3])).toBe(-3); // prettier-ignore
});
