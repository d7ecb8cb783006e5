import Qty from 'js-quantities';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { POINT } from './number.ts';
import { inUnit, parseQuantity, type Dimension, type UnitOf, type Wanted } from './quantity.ts';

const wanted = (dimension: Dimension, unit: UnitOf<Dimension>): Wanted => ({
	dimension,
	unit,
	what: 'It',
	min: -1e9,
	max: 1e9,
	between: 'here and there'
});
const read = (text: string, dimension: Dimension, unit: UnitOf<Dimension>) => {
	const done = parseQuantity(text, wanted(dimension, unit), POINT);
	return done.ok ? done.value : done.say;
};

describe('quantities as typed', () => {
	test.each([
		['68', 293.15],
		['68 F', 293.15],
		['20 °C', 293.15],
		['20c', 293.15],
		['-40', 233.15],
		['−40 C', 233.15],
		['300 K', 300]
	])('%s is a temperature', (text, kelvin) => expect(read(text, 'temperature', 'f')).toBeCloseTo(kelvin, 9));
	test.each<[Dimension, string, string, string]>([
		['mass', 'oz', '3 oz', '3 oz'],
		['mass', 'lb', '2½ lb', '2.5 lb'],
		['height', 'ft', '1,200 ft', '1200 ft'],
		['volume', 'gal', '2 gal', '2 gal'],
		['volume', 'cu ft', '14 cu ft', '14 ft3'],
		['speed', 'mph', '10 mph', '10 mph'],
		['speed', 'kn', '20 kn', '20 kt'],
		['speed', 'km/h', '36 km/h', '36 km/h']
	])('NIST SP 811 and a units library agree: %s in %s', (dimension, unit, text, other) => {
		const base = { mass: 'g', height: 'm', volume: 'l', speed: 'm/s', temperature: 'tempK' }[dimension];
		const own = read(text, dimension, unit as UnitOf<Dimension>) as number;
		expect(Math.abs(own / Qty(other).to(base).scalar - 1)).toBeLessThan(1e-6);
	});
	test.each(['', 'warm', '20 parsecs', '1/0'])('“%s” is refused in words', (text) => {
		expect(typeof read(text, 'temperature', 'f')).toBe('string');
	});
	test('bounds have their own sentence', () => {
		const cold = parseQuantity(
			'-300 C',
			{ ...wanted('temperature', 'c'), min: 200, between: '−73 and 60 °C' },
			POINT
		);
		expect(cold).toMatchObject({ ok: false, say: 'It lies between −73 and 60 °C.' });
	});
	test('there and back again (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: -200, max: 500 }), fc.constantFrom('c', 'f', 'k'), (n, unit) => {
				expect(
					inUnit(read(`${n} ${unit}`, 'temperature', 'c') as number, 'temperature', unit as 'c')
				).toBeCloseTo(n, 6);
			})
		);
	});
});
