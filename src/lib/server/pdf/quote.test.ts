import { OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test } from 'vitest';
import { readPdf } from '../../../../tests/kit/read-pdf.ts';
import { design as keyed, studio } from '../../../../tests/kit/studio.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { freeze } from '../../core/quote/freeze.ts';
import { priceQuote } from '../../core/quote/quote.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import { newTerms } from '../services/quoting.ts';
import { quotePdf } from './quote.ts';

const terms = {
	...newTerms(settings),
	occasion: 'Deep-sea reading day',
	venue: 'Library, 4½ Oyster Steps',
	note: ''
};
const recipe = keyed('Kelp column', '4 11 at 9 white x5', '4 11 at 9 spiral left white / gold x4');
const items = [{ id: 'l', recipe, colourway: null, quantity: 2 }];

function frozen(change: Partial<FrozenQuote> = {}): FrozenQuote {
	const context = { catalogue: studio, rates: settings.rates, library: () => undefined };
	const made = freeze({
		number: 7,
		clientName: 'Tidewick Library',
		eventDate: '2027-06-12',
		zone: settings.zone,
		terms,
		priced: priceQuote(items, terms, context),
		settings,
		catalogue: studio,
		sentAt: '2027-05-04T15:00:00.000Z',
		validUntil: '2027-05-18'
	});
	return { ...made!, ...change };
}
const words = { eventDay: 'Saturday, June 12, 2027', validDay: 'Tue, May 18, 2027' };

describe('the quote as a PDF', () => {
	test('says what the frozen quote says, in bundled faces that have the signs', async () => {
		const paper = frozen();
		const pdf = await quotePdf(paper, words);
		const { text, pages } = await readPdf(pdf);
		const total = (paper.total.minor / 100).toFixed(2);
		for (const part of [
			'Deep-sea reading day',
			'Tidewick Library',
			words.eventDay,
			'2 × Kelp column',
			total,
			'CHOKING HAZARD',
			'latex'
		])
			expect(text).toContain(part);
		expect(text.replace(/ /g, '')).toContain('4½OysterSteps');
		expect(pages).toBe(1);
		const names = pdf.toString('latin1').match(/\/FontName \/[A-Z]{6}\+[\w-]+/g) ?? [];
		expect(names.length).toBeGreaterThanOrEqual(4);
		expect(pdf.toString('latin1')).toContain('/FontFile');
	});
	test('the picture is vectors: a form for each ball, no image', async () => {
		const paper = frozen();
		const { ops } = await readPdf(await quotePdf(paper, words));
		const forms = ops.filter((op) => op === OPS.paintFormXObjectBegin).length;
		expect(forms).toBe(paper.lines[0]!.picture!.discs.length);
		expect(ops).not.toContain(OPS.paintImageXObject);
	});
	test('carries no cost or margin, and pages on when there is much to say', async () => {
		const long = frozen({
			lines: Array.from({ length: 40 }, (_, i) => ({
				...frozen().lines[0]!,
				name: `Piece ${i}`,
				picture: null
			})),
			note: 'A long word to the client. '.repeat(60)
		});
		const { text, pages } = await readPdf(await quotePdf(long, words));
		expect(pages).toBeGreaterThan(1);
		expect(text).toContain('Piece 39');
		expect(text).not.toMatch(/margin|markup|profit|labour/i);
	});
});
