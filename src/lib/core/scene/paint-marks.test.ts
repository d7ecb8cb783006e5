import { describe, expect, test } from 'vitest';
import { PAINT_PARTS } from '../document/cluster.ts';
import { assemble } from '../assembly/assemble.ts';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { drawAssembly } from './draw-list.ts';
import { strokesOf } from './outlines.ts';
import { PAINT_MARKS } from './paint-marks.ts';
import { paintOn } from './shade.ts';

const drawn = (...lines: string[]) =>
	drawAssembly(assemble(design('painted', ...lines), null, () => undefined), { catalogue: studio, view: 'front' }); // prettier-ignore

describe('paint on a part of a balloon', () => {
	test.each(PAINT_PARTS)('%s: every mark lies on its balloon', (part) => {
		for (const { x, y, r, outline } of PAINT_MARKS[part]) {
			if (!outline) {
				expect(Math.hypot(x, y) + r).toBeLessThan(1);
				continue;
			}
			// Ends of its strokes; handles may lie outside.
			for (const stroke of strokesOf(outline)) {
				const [px, py] = stroke.slice(-2) as unknown as [number, number];
				expect(Math.hypot(x + r * px, y + r * py)).toBeLessThan(1.01);
			}
		}
	});
	test('is drawn on the balloons that have it and on no other, just over them', () => {
		const plain = drawn('4 11 at 9 white').discs.length;
		const dots = drawn('4 11 at 9 white painted dots');
		expect(dots.discs).toHaveLength(plain + 4 * PAINT_MARKS.dots.length);
		expect(drawn('4 11 at 9 white painted').discs).toHaveLength(plain);
		// Under each mark is its balloon: the nearest of those that are drawn before it.
		const marks = dots.discs.flatMap((d, i) => (d.r < 20 ? [{ ...d, i }] : []));
		for (const { x, y, i } of marks) {
			const near = dots.discs.slice(0, i).filter((d) => d.r > 100 && Math.hypot(d.x - x, d.y - y) < d.r);
			expect(near.length).toBeGreaterThan(0);
		}
	});
	test('on pieces and along runs too', () => {
		expect(drawn('4 11 at 9 white', 'put 1 5 at 4 red painted swoosh as eye on row 1 front').discs.some((d) => d.outline?.startsWith('own'))).toBe(true); // prettier-ignore
		expect(drawn('run garland', 'line 4 ft', '4 5 at 4 white painted stripes').discs.some((d) => d.outline?.startsWith('own'))).toBe(true); // prettier-ignore
	});
	test('it is darker on a light balloon and lighter on a dark one', () => {
		const light = (hex: string) => parseInt(hex.slice(3, 5), 16);
		expect(light(paintOn('#f4f2ec'))).toBeLessThan(light('#f4f2ec'));
		expect(light(paintOn('#22242a'))).toBeGreaterThan(light('#22242a'));
	});
});
