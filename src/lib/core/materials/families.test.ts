import fc from 'fast-check';
import { expect, test } from 'vitest';
import { byFamily, FAMILIES, familyOf, standsOut } from './families.ts';

test.each([
	['#ffffff', 'whites'], ['#808080', 'greys'], ['#000000', 'blacks'], ['#8b4513', 'browns'], ['#ffc0cb', 'pinks'], ['#ff1493', 'pinks'],
	['#ff0000', 'reds'], ['#800000', 'reds'], ['#ffa500', 'oranges'], ['#ffff00', 'yellows'], ['#ffd700', 'yellows'], ['#008000', 'greens'],
	['#40e0d0', 'greens'], ['#0000ff', 'blues'], ['#000080', 'blues'], ['#87ceeb', 'blues'], ['#4682b4', 'blues'], ['#800080', 'purples'], ['#ee82ee', 'purples']
] as const)('%s is of the %s, as CSS Color 4 names it', (hex, family) => {
	expect(familyOf(hex)).toBe(family);
}); // prettier-ignore

test('every colour is of one family, and none is lost (property)', () => {
	const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
	fc.assert(
		fc.property(
			fc.array(
				hex.map((h) => ({ hex: h })),
				{ maxLength: 20 }
			),
			(colours) => {
				const groups = byFamily(colours);
				expect(groups.flatMap((g) => g.colours).map((c) => c.hex).toSorted()).toEqual(colours.map((c) => c.hex).toSorted()); // prettier-ignore
				expect(groups.map((g) => FAMILIES.indexOf(g.family)).every((n, i, all) => i === 0 || n > all[i - 1]!)).toBe(true); // prettier-ignore
			}
		)
	);
});

test('white on white is lost, black on white is not; it is the same either way round (property)', () => {
	expect(standsOut('#f4f2ec', '#ffffff')).toMatchObject({ isWeak: true, says: 'is lost against it' });
	expect(standsOut('#1b2333', '#ffffff')).toMatchObject({ isWeak: false });
	const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
	fc.assert(fc.property(hex, hex, (a, b) => { expect(standsOut(a, b).distance).toBeCloseTo(standsOut(b, a).distance, 9); })); // prettier-ignore
});
