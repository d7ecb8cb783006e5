import { expect, test } from 'vitest';
import { money } from '../core/money/money.ts';
import { POINT } from '../core/units/number.ts';
import { amountText, changeText, percentText, sumText } from './bench/tape-words.ts';
import { methodField } from '../core/pricing/method-field.ts';

const usd = (minor: number) => money(minor, 'USD');

test('what is not known prints as a dash or a mark, never as 0', () => {
	expect(amountText(undefined)).toBe('—');
	expect(amountText(usd(0))).toBe('0.00');
	expect(sumText({ known: usd(1250), unknown: ['patch'] })).toBe('12.50 + ?');
	expect(sumText({ known: usd(1250), unknown: [] })).toBe('12.50');
	expect(percentText(undefined)).toBe('—');
	expect(percentText(null)).toBe('—');
});
test('changes carry their sign, with a true minus; nothing changed is 0', () => {
	expect([changeText(1.6, 1), changeText(-2.14, 2), changeText(0.001, 2)]).toEqual(['+1.6', '−2.14', '0']);
	expect(percentText(-3.25)).toBe('−3.2 %'.replace('3.2', (Math.round(-32.5) / -10).toFixed(1)));
	expect(percentText(48.04)).toBe('48.0 %');
});
test('a margin ends under 100, a markup may go on', () => {
	expect(methodField('margin').read('99.9', { style: POINT, currency: 'USD' }).ok).toBe(true);
	for (const typed of ['100', '250']) {
		const margin = methodField('margin').read(typed, { style: POINT, currency: 'USD' });
		expect(!margin.ok && margin.say).toContain('No price leaves a margin of 100 %');
		expect(methodField('markup').read(typed, { style: POINT, currency: 'USD' }).ok).toBe(true);
	}
	expect(methodField('markup').read('', { style: POINT, currency: 'USD' })).toMatchObject({
		code: 'missing'
	});
	expect(methodField('margin').read('-1', { style: POINT, currency: 'USD' })).toMatchObject({
		code: 'negative'
	});
});
