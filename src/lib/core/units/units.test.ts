import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { feet, formatFeet, formatInches, inches, mm, parseLength, um } from './length.ts';
import { parseBounded, parseCount, parseNumber } from './number.ts';
import { ceiling, rational, rationalText } from './rational.ts';

const value = (text: string, style?: { decimal: '.' | ',' }) => {
	const parsed = parseNumber(text, style);
	return parsed.ok ? parsed.value.valueOf() : parsed.code;
};

describe('numbers as people type them', () => {
	test.each(['8 1/2', '8½', '8.5', '8-1/2', ' 8 ½ ', '8.50'])('%s is eight and a half', (text) => {
		expect(value(text)).toBe(8.5);
	});
	test('the comma is decimal where the owner lives so, and groups thousands elsewhere', () => {
		expect(value('8,5', { decimal: ',' })).toBe(8.5);
		expect(value('1.200,5', { decimal: ',' })).toBe(1200.5);
		expect(value('1,200')).toBe(1200);
		expect(value('8,5')).toBe('not-a-number');
	});
	test.each(['', '   '])('a blank is missing, never zero (%j)', (text) =>
		expect(value(text)).toBe('missing')
	);
	test.each(['abc', '1/0', '1.2.3', '--4', '9999999999999', '4e5', 'NaN', 'Infinity'])(
		'%s is refused',
		(text) => {
			expect(value(text)).toBe('not-a-number');
		}
	);
	test('a negative number is read, and held to its bounds with a sentence', () => {
		expect(value('−3')).toBe(-3);
		expect(parseBounded('-3', { min: 0, what: 'The discount', unit: ' %' })).toMatchObject({
			code: 'negative',
			say: 'The discount cannot be negative. Type 0 % or more.'
		});
		expect(parseBounded('120', { max: 99, what: 'The margin' })).toMatchObject({ code: 'too-big' });
		expect(parseBounded('', { what: 'The margin' })).toMatchObject({ code: 'missing' });
		expect(parseCount('2.5', { what: 'The quantity' })).toMatchObject({ code: 'not-whole' });
	});
	test('rationals store exactly and round up once', () => {
		fc.assert(
			fc.property(fc.integer({ min: -1e6, max: 1e6 }), fc.integer({ min: 1, max: 1e6 }), (n, d) => {
				const exact = rational(n, d);
				expect(rational(rationalText(exact)).equals(exact)).toBe(true);
				expect(ceiling(exact)).toBe(Math.ceil(n / d) + 0);
			})
		);
	});
});

describe('lengths', () => {
	test('NIST SP 811 (2008), appendix B.8: the inch is exactly 25.4 mm, the foot 0.3048 m', () => {
		expect(inches(1)).toBe(25_400);
		expect(feet(1)).toBe(304_800);
		expect(inches(1 / 8)).toBe(3175);
	});
	test.each([
		['8½', inches(8.5)],
		['8.5 in', inches(8.5)],
		['7 ft 9 in', inches(93)],
		['7′ 9″', inches(93)],
		[`7'9"`, inches(93)],
		['21 cm', um(210_000)],
		['7 ft', feet(7)]
	])('%s', (text, expected) => {
		expect(parseLength(text)).toMatchObject({ ok: true, value: { um: expected } });
	});
	test.each([
		['', 'missing'],
		['tall', 'not-a-length'],
		['-4 in', 'negative'],
		['9 in 7 ft', 'not-a-length'],
		['900 m', 'too-big']
	])('%j is %s', (text, code) => expect(parseLength(text)).toMatchObject({ ok: false, code }));
	test('prints eighths, feet and inches', () => {
		expect(formatInches(inches(10.5))).toBe('10½');
		expect(formatInches(inches(0.375))).toBe('⅜');
		expect(formatInches(um(101_234))).toBe('3.99');
		expect(formatFeet(mm(93 * 25.4))).toBe('7′ 9″');
	});
	test('what is printed parses back, to every eighth of an inch', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 800 }), (eighths) => {
				const length = um(eighths * 3175);
				expect(parseLength(formatInches(length))).toMatchObject({ value: { um: length } });
			})
		);
	});
});

describe('a number without a unit', () => {
	test('is of the unit that the field asks for; a second one is inches over whole feet', () => {
		expect(parseLength('7', 'ft')).toMatchObject({ ok: true, value: { um: feet(7), unit: 'ft' } });
		expect(parseLength('7', 'in')).toMatchObject({ ok: true, value: { um: inches(7), unit: 'in' } });
		expect(parseLength('7 ft 9', 'in')).toMatchObject({ ok: true, value: { um: feet(7.75), unit: 'ft' } });
		expect(parseLength('7 ft 9', 'ft')).toMatchObject({ ok: true, value: { um: feet(7.75), unit: 'ft' } });
	});
	test('two lengths that are not feet and inches are no length', () => {
		for (const text of ['7 in 9 in', '7 ft 9 cm', '7 m 9 in', '7 in 9 cm', '7 ft 9 ft'])
			expect([text, parseLength(text)]).toMatchObject([text, { ok: false, code: 'not-a-length' }]);
	});
});
