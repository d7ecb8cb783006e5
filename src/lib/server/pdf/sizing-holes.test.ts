import { describe, expect, test } from 'vitest';
import { readPdf } from '../../../../tests/kit/read-pdf.ts';
import { inches } from '../../core/units/length.ts';
import { sizingHoles, tilesFor } from './sizing-holes.ts';

const INCH = 72;

describe('sizer holes in true size', () => {
	test('read back: a page each, its size, and a line of four inches; the circle is as wide as it says', async () => {
		const pdf = await sizingHoles([inches(3.5), inches(7)], 'letter');
		const { text, pages, paths } = await readPdf(pdf);
		const near = (width: number, height: number) => paths.filter(([w, h]) => Math.abs(w - width) < 0.05 && Math.abs(h - height) < 0.05); // prettier-ignore
		expect(near(3.5 * INCH, 3.5 * INCH)).toHaveLength(1);
		expect(near(7 * INCH, 7 * INCH)).toHaveLength(1);
		expect(near(4 * INCH, 0)).toHaveLength(2);
		expect(pages).toBe(2);
		for (const words of ['3½ in', '7 in', 'this line is 4 in', 'Print at 100 %']) expect(text.replace(/ /g, '')).toContain(words.replace(/ /g, '')); // prettier-ignore
	});
	test('what is wider than the paper is tiled, every part named', async () => {
		const { text, pages } = await readPdf(await sizingHoles([inches(13)], 'letter'));
		expect(pages).toBe(4);
		expect(text).toContain('part 4 of 4: column 2, row 2');
	});
	test('the tiles cover the hole and none is empty, on both papers', () => {
		// Printable: Letter 7.5 by 9.55 in, A4 7.27 by 10.24 in.
		expect(tilesFor(7 * INCH, 'letter')).toHaveLength(1);
		expect(tilesFor(8 * INCH, 'letter')).toHaveLength(2);
		expect(tilesFor(10 * INCH, 'a4')).toHaveLength(2);
		expect(tilesFor(24 * INCH, 'letter')).toHaveLength(4 * 3);
	});
});
