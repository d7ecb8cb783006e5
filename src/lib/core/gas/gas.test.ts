import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { density, liftPerLitre, pressureAt, R } from './atmosphere.ts';
import { float, heliumCost, labelLitres } from './float.ts';
import { diameterRatio, foilFill, heatAdvice, inSun, volumeRatio } from './heat.ts';
import { foilLitres, modellingLitres } from './volume.ts';

const C = 273.15;
const IN = 25.4;

describe('air and helium', () => {
	/** U.S. Standard Atmosphere 1976, tables by geopotential height (from memory): T, p, ρ. */
	test.each([
		[0, 288.15, 101_325, 1.225],
		[1000, 281.65, 89_874.6, 1.1116],
		[2000, 275.15, 79_495.2, 1.0065],
		[5000, 255.65, 54_019.9, 0.73612],
		[11_000, 216.65, 22_632.1, 0.36392]
	])('at %i m: U.S. Standard Atmosphere 1976', (height, temperature, pressure, rho) => {
		expect(Math.abs(pressureAt(height) / pressure - 1)).toBeLessThan(2e-4);
		expect(Math.abs(density('air', temperature, pressure) / rho - 1)).toBeLessThan(6e-5);
	});
	test('at 15 °C and one atmosphere a litre of air weighs 1.225 g (tolerance 2·10⁻⁵), and helium lifts 1.056 g', () => {
		expect(Math.abs(density('air', 15 + C) / 1.225 - 1)).toBeLessThan(2e-5);
		expect(liftPerLitre(15 + C)).toBeCloseTo(1.056, 3);
		expect(R).toBe(8.314462618); // CODATA 2018
	});
	test('warm air lifts less, and so does high air; absolute zero and 12 km are refused', () => {
		expect(liftPerLitre(35 + C)).toBeLessThan(liftPerLitre(15 + C));
		expect(liftPerLitre(15 + C, pressureAt(1600))).toBeLessThan(liftPerLitre(15 + C));
		expect(() => density('air', 0)).toThrow(expect.objectContaining({ code: 'not-positive' }));
		expect(() => pressureAt(12_000)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
		expect(() => pressureAt(Number.NaN)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
	});
});

describe('volumes', () => {
	test('an 18-inch round foil holds about 14.6 L: Paulsen, Amer. Math. Monthly 101 (1994)', () => {
		expect(foilLitres(18 * IN)).toBeCloseTo(14.56, 2);
	});
	test('a 260 when full, 2 in by 60 in: 3.06 L by hand', () => {
		// π·5.08²·(152.4 − 5.08)/4 + π·5.08³/6 cm³ = 2985.9 + 68.6.
		expect(modellingLitres(60 * IN, 2 * IN)).toBeCloseTo(3.0546, 3);
		expect(() => modellingLitres(10, 50)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
	});
	test('a modelling balloon as short as it is thick is a ball (property)', () => {
		fc.assert(
			fc.property(fc.double({ min: 1, max: 500, noNaN: true }), (d) => {
				expect(modellingLitres(d, d)).toBeCloseTo((Math.PI / 6) * (d / 100) ** 3, 9);
			})
		);
	});
});

describe('what floats', () => {
	const sea = { temperature: 15 + C, height: 0 };
	test('an 18-inch foil of 14.6 L lifts 15.4 g; of these a skin of 9 g leaves 6.4, by hand', () => {
		const found = float(14.6, 9, sea);
		expect(found.gross).toBeCloseTo(15.41, 2);
		expect(found.net).toBeCloseTo(6.41, 2);
		expect(found.weight).toBeCloseTo(9.62, 2);
		expect(found.verdict).toBe('floats');
	});
	test('with 16 g nobody can say, with 20 g it sinks and needs no weight', () => {
		expect(float(14.6, 15.5, sea).verdict).toBe('hovers');
		expect(float(14.6, 20, sea)).toMatchObject({ verdict: 'sinks', weight: 0 });
	});
	test('a litre of helium at 40.00 a filling of 1000 L with a fifth lost costs 5 cents', () => {
		expect(heliumCost(4000, 1000, 0.2)).toBeCloseTo(5, 12);
	});
	test('high up a litre takes less of the cylinder', () => {
		expect(labelLitres(1, sea)).toBeCloseTo(1, 9);
		expect(labelLitres(1, { temperature: 15 + C, height: 2000 })).toBeCloseTo(79_495 / 101_325, 3);
	});
});

describe('heat, cold and height', () => {
	const at = (celsius: number, height = 0) => ({ temperature: celsius + C, height });
	test('20 °C to 35 °C grows the volume by 5.1 %', () => {
		expect(volumeRatio(at(20), at(35))).toBeCloseTo(1.0512, 4);
		expect(diameterRatio(at(20), at(35))).toBeCloseTo(1.0168, 4);
	});
	test('what is sized to its limit indoors passes it in the sun; what to size it to says so', () => {
		const sun = { ...at(35), temperature: inSun(35 + C, 'dark') };
		const advice = heatAdvice(11 * IN, 11 * IN, at(20), sun);
		expect(advice.verdict).toBe('over');
		expect(heatAdvice(advice.sizeTo, 11 * IN, at(20), sun)).toMatchObject({ verdict: 'safe' });
	});
	test('cold makes it softer, and it comes back', () => {
		const { softer, verdict, sizeTo } = heatAdvice(10 * IN, 11 * IN, at(20), at(0));
		expect(softer).toBeCloseTo(1 - Math.cbrt(273.15 / 293.15), 9);
		expect([verdict, sizeTo]).toEqual(['safe', 11 * IN]);
		expect(diameterRatio(at(20), at(0)) * diameterRatio(at(0), at(20))).toBeCloseTo(1, 12);
	});
	test('2,000 m up a balloon is as much larger as the air is thinner; a foil is filled less', () => {
		expect(volumeRatio(at(20), at(20, 2000))).toBeCloseTo(101_325 / 79_495.2, 3);
		expect(foilFill(at(20), at(20, 2000))).toBeCloseTo(79_495.2 / 101_325, 3);
		expect(foilFill(at(20), at(5))).toBe(1);
	});
	test('absolute zero is refused', () => {
		expect(() => volumeRatio(at(20), at(-C))).toThrow(expect.objectContaining({ code: 'not-positive' }));
	});
});

test('nothing is as cold as absolute zero, here or there', () => {
	const at = (temperature: number) => ({ temperature, height: 0 });
	for (const bad of [0, -1, Number.NaN]) {
		expect(() => volumeRatio(at(bad), at(290))).toThrow(/above absolute zero/);
		expect(() => volumeRatio(at(290), at(bad))).toThrow(/above absolute zero/);
	}
});
