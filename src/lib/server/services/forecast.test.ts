import fc from 'fast-check';
import { expect, test } from 'vitest';
import { simulatedForecast } from './forecast.ts';

test('the stand-in says the same of the same place and day, whatever the case of its letters', () => {
	const one = simulatedForecast('Club slipway', '2027-07-24');
	expect(simulatedForecast(' club SLIPWAY ', '2027-07-24')).toEqual(one);
	expect(simulatedForecast('Club slipway', '2027-07-25')).not.toEqual(
		simulatedForecast('Parish hall', '2027-01-25')
	);
});
test('and stays within what a mild harbour has: −1 to 29 °C, warmer in summer (property)', () => {
	const day = fc.integer({ min: 1, max: 28 }).map((d) => String(d).padStart(2, '0'));
	fc.assert(
		fc.property(fc.string({ maxLength: 40 }), day, (place, d) => {
			const [july, january] = [
				simulatedForecast(place, `2027-07-${d}`),
				simulatedForecast(place, `2027-01-${d}`)
			];
			expect(july.high).toBeGreaterThan(january.high);
			for (const { high } of [july, january]) expect(high).toBeGreaterThanOrEqual(-1);
			for (const { high } of [july, january]) expect(high).toBeLessThanOrEqual(29);
		})
	);
});
