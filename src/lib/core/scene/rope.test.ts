import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { assemble } from '../assembly/assemble.ts';
import { drawAssembly } from './draw-list.ts';
import { awayFrom, ropePath, ropeStrokes } from './rope.ts';
import { svgOf } from './svg.ts';

const stock = catalogue(floating, colours);
const assembly = (...lines: string[]) => assemble(designOf(floating, 'r', lines), null, () => undefined);

describe('long things in the picture', () => {
	test('the distance to a way is that to its nearest stretch: never more than to its ends, 0 on it (property)', () => {
		const point = fc.integer({ min: -500, max: 500 });
		fc.assert(
			fc.property(fc.array(point, { minLength: 4, maxLength: 12 }), point, point, (all, x, y) => {
				const path = all.slice(0, all.length - (all.length % 2));
				const away = awayFrom({ x: 0, y: 0, path }, x, y);
				for (let i = 0; i < path.length; i += 2) expect(away).toBeLessThanOrEqual(Math.hypot(path[i]! - x, path[i + 1]! - y) + 1e-9); // prettier-ignore
				const middle = [(path[0]! + path[2]!) / 2, (path[1]! + path[3]!) / 2] as const;
				expect(awayFrom({ x: 0, y: 0, path }, ...middle)).toBeCloseTo(0, 9);
			})
		);
		expect(awayFrom({ x: 3, y: 4 }, 0, 0)).toBe(5);
		expect(awayFrom({ x: 3, y: 4 }, 6, 8)).toBe(5);
		expect(awayFrom({ x: 3, y: 4, path: [9, 9] }, 6, 8)).toBe(5);
		// A stretch of no length is a point.
		expect(awayFrom({ x: 0, y: 0, path: [3, 4, 3, 4] }, 6, 8)).toBe(5);
	});
	test('three strokes shade a tube, from its whole width to a thin light; a dot is a line to itself', () => {
		expect(ropeStrokes('#c8402f', 'matte').map((s) => s.width)).toEqual([1, 0.74, 0.24]);
		expect(ropePath([1, 2])).toBe('M1 -2L1 -2');
		expect(ropePath([0, 0, 10, 5], 1)).toBe('M-1 -1L9 -6');
	});
	test('each limb is one thing of the picture, names its piece, and goes into the file', () => {
		const bee = assembly('4 11 at 9 white', 'form legs on column', '6 260 red 7 + 6 as leg on row 1 round');
		const list = drawAssembly(bee, { catalogue: stock, view: 'front' });
		const limbs = list.discs.filter((d) => d.path);
		expect(limbs).toHaveLength(12);
		expect(new Set(limbs.map((d) => list.about![d.row])).size).toBe(1);
		expect(svgOf(list).match(/stroke-linejoin="round"/g)).toHaveLength(12);
	});
	test('what hangs below the floor of the picture lifts it, ways and all', () => {
		const letters = assembly('letters TID of gold');
		const tilted = drawAssembly(letters, {
			catalogue: stock,
			view: 'front',
			camera: { turn: 0.4, tilt: 0.6 }
		});
		const lowest = Math.min(
			...tilted.discs.flatMap((d) => d.path!.filter((_, i) => i % 2 === 1).map((y) => y - d.r))
		);
		expect(lowest).toBeCloseTo(0, 0);
	});
	test('a balloon is seen through a see-through one, just over it, and not through any other', () => {
		const clear = catalogue(
			floating,
			colours.map((c) => (c.id === 'white' ? { ...c, finish: 'see-through' as const } : c))
		);
		const nested = assembly('1 16 at 12 white filled with 5 at 4 red');
		expect(drawAssembly(nested, { catalogue: stock, view: 'front' }).discs).toHaveLength(1);
		const seen = drawAssembly(nested, { catalogue: clear, view: 'front' }).discs;
		expect(seen.map((d) => Math.round(d.r / 12.7))).toEqual([12, 4]);
	});
});
