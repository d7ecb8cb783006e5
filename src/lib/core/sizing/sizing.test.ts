import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches } from '../units/length.ts';
import { fillBand, safeVerdict } from './fill.ts';
import { resolveSize } from './resolve.ts';
import { printSize, type Size } from './size.ts';
import { calibrate, diameterAfter, sphereDiameter, sphereLitres, strokesFor } from './strokes.ts';

const IN = 25.4;
const hand = { id: 'hand', name: 'hand pump', pairs: [{ strokes: 4, diameter: 4.5 * IN }] };

describe('strokes', () => {
	test('common practice: 4 strokes bring a 5 to 4½ in (k = 0.1955 L), and 2 strokes to about 3½', () => {
		const { k, residual } = calibrate(hand.pairs);
		expect(k).toBeCloseTo(0.1955, 4);
		expect(residual).toBeCloseTo(0, 12);
		expect(diameterAfter(2, k) / IN).toBeCloseTo(3.57, 2);
		expect(Math.abs(diameterAfter(2, k) / IN - 3.5) / 3.5).toBeLessThan(0.03);
	});
	test('the ratio of diameters needs no pump: 10 against 18 strokes is 0.822', () => {
		expect(diameterAfter(10, 0.3) / diameterAfter(18, 0.3)).toBeCloseTo(0.822, 3);
	});
	test('least squares of two pairs against the normal equation worked by hand', () => {
		const pairs = [2, 4].map((strokes, i) => ({ strokes, diameter: sphereDiameter([0.5, 0.9][i]!) }));
		const { k, residual } = calibrate(pairs);
		expect(k).toBeCloseTo((2 * 0.5 + 4 * 0.9) / (4 + 16), 12); // 0.23
		expect(residual).toBeCloseTo(Math.hypot(0.5 - 0.46, 0.9 - 0.92) / Math.SQRT2, 9);
	});
	test('strokes and diameters are each other’s inverse', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.1, max: 200, noNaN: true }), (strokes) => {
				expect(strokesFor(diameterAfter(strokes, 0.2), 0.2)).toBeCloseTo(strokes, 6);
			})
		);
	});
	test('a sphere of 100 mm holds 0.5236 L (π/6)', () =>
		expect(sphereLitres(100)).toBeCloseTo(Math.PI / 6, 12));
	test('no pair, no strokes: refused', () => {
		expect(() => calibrate([])).toThrow(expect.objectContaining({ code: 'empty' }));
		expect(() => calibrate([{ strokes: 0, diameter: 10 }])).toThrow(
			expect.objectContaining({ code: 'not-positive' })
		);
	});
});

describe('sizes', () => {
	const size = (s: object) => ({ origin: 'typed', unit: 'in', ...s }) as Size;
	test('print as makers say them; the unknown is a dash', () => {
		expect(printSize(size({ kind: 'value', um: inches(8.5) }))).toBe('8½');
		expect(printSize(size({ kind: 'range', low: inches(8), high: inches(9) }))).toBe('8–9');
		expect(printSize(size({ kind: 'strokes', strokes: 10, pump: null }))).toBe('10 strokes');
		expect(printSize(size({ kind: 'word', word: 'soft' }))).toBe('soft');
		expect(printSize({ kind: 'unknown' })).toBe('—');
	});
	test('strokes are a diameter only on a calibrated pump; otherwise the picture assumes and figures do not know', () => {
		const strokes = size({ kind: 'strokes', strokes: 4, pump: 'hand' });
		expect(resolveSize(strokes, inches(5), [hand]).assumed / IN).toBeCloseTo(4.5, 9);
		expect(resolveSize(strokes, inches(5))).toMatchObject({ known: false });
		expect(resolveSize({ kind: 'unknown' }, inches(5)).known).toBe(false);
	});
	test('a word is carried as its band, a range as its ends', () => {
		const soft = resolveSize(size({ kind: 'word', word: 'soft' }), inches(10));
		expect([soft.low / IN, soft.high / IN]).toEqual([expect.closeTo(5), expect.closeTo(7.5)]);
		const range = resolveSize(size({ kind: 'range', low: inches(8), high: inches(9) }), inches(11));
		expect(range.assumed / IN).toBeCloseTo(8.5, 9);
	});
	test('fill bands of common practice, and the safe diameter', () => {
		expect([0.4, 0.6, 0.8, 0.95, 0.99].map((f) => fillBand(f))).toEqual([
			'pear-shaped',
			'soft',
			'usual',
			'firm',
			'full'
		]);
		expect([11, 11.5, 12.5].map((d) => safeVerdict(d, 11))).toEqual(['safe', 'over', 'refused']);
	});
});
