import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { floating, rates } from '../../../../tests/kit/studio.ts';
import { settings as demoSettings } from '../../../../scripts/demo/settings.ts';
import { COUNTS } from '../document/rule.ts';
import { printNumber } from '../units/print-number.ts';
import { parseNumber } from '../units/number.ts';
import { rational, rationalText } from '../units/rational.ts';
import { settingsSchema } from './settings.schema.ts';
import { choicesFor, printSettings, readSettings } from './settings-form.ts';
import type { Settings } from './settings.ts';

const business = { name: 'Puddlelark', address: '', email: '', phone: '', terms: 'Half before.' };
const plain: Settings = {
	business,
	zone: 'America/New_York',
	decimal: '.',
	dates: 'month first',
	lengths: 'in',
	welcomed: true,
	rates
};
const untouched = (settings: Settings) => {
	const { next, errors } = readSettings(printSettings(settings), settings, floating);
	expect(errors).toEqual({});
	return settingsSchema.parse(next);
};

describe('a form saved untouched leaves everything as it was', () => {
	test('the demo', () => expect(untouched(demoSettings)).toEqual(demoSettings));
	test('a loss of 3⅓ %, a tax of 8.875 %, two rules of one count, gas and paint, a price point to the nearest', () => {
		const odd: Settings = {
			...plain,
			rates: {
				...rates,
				defaultLoss: '1/30',
				rules: [
					{ of: 'litre of helium', each: '1', material: 'helium' },
					{ of: 'painted balloon', each: '1/25', material: 'paint can' },
					{ of: 'strip', each: '1', material: 'tie balloon' },
					{ of: 'strip', each: '1/3', material: null },
					{ of: 'attachment point', each: '1', material: '5-white' },
					{ of: 'tied piece', each: '2', material: 'gone from the Stockroom' }
				],
				pumps: [{ id: 'odd', name: 'odd one', pairs: [{ strokes: 8.5, diameter: 110 }, { strokes: 4, diameter: 85.725 }] }],
				price: { ...rates.price, tax: { percent: '71/8', inclusive: true }, pricePoint: { step: 250, mode: 'nearest' } }
			}
		}; // prettier-ignore
		const inOrder = (s: Settings) => ({
			...s,
			rates: {
				...s.rates,
				rules: [...s.rates.rules].sort((a, b) => COUNTS.indexOf(a.of) - COUNTS.indexOf(b.of))
			}
		});
		expect(inOrder(untouched(odd))).toEqual(inOrder(odd));
		const comma: Settings = {
			...odd,
			decimal: ',',
			dates: 'year first',
			lengths: 'cm',
			rates: { ...odd.rates, currency: 'EUR' }
		};
		expect(inOrder(untouched(comma))).toEqual(inOrder(comma));
		expect(printSettings(comma)['labour']).toBe('18,00');
	});
	test('whatever percentages and amounts were typed, a comma or a point as the decimal mark', () => {
		const typed = fc.oneof(
			fc.tuple(fc.nat({ max: 89 }), fc.nat({ max: 999_999 })).map(([n, f]) => `${n}.${f}`),
			fc
				.tuple(fc.nat({ max: 80 }), fc.integer({ min: 1, max: 999 }), fc.integer({ min: 2, max: 999 }))
				.map(([n, a, b]) => `${n} ${Math.min(a, b - 1)}/${b}`)
		);
		fc.assert(
			fc.property(
				typed,
				typed,
				fc.nat({ max: 999_999 }),
				fc.constantFrom('.', ','),
				(a, b, minor, decimal) => {
					const value = (text: string) => {
						const parsed = parseNumber(text);
						if (!parsed.ok) throw new Error(text);
						return parsed.value;
					};
					const settings = {
						...plain,
						decimal: decimal as '.' | ',',
						rates: {
							...rates,
							labourPerHour: minor,
							defaultLoss: rationalText(value(a).div(100)),
							service: 0.905,
							overhead: { kind: 'percent' as const, percent: rationalText(value(b)) },
							price: { ...rates.price, margin: rationalText(value(b)), minimumMinor: minor }
						}
					};
					expect(untouched(settings)).toEqual(settings);
				}
			),
			{ numRuns: 200 }
		);
	});
	test('a form that says nothing of rules and pumps keeps them', () => {
		const typed = Object.fromEntries(
			Object.entries(printSettings(demoSettings)).filter(([k]) => !/^(of|each|material|pump|pairs)-/.test(k))
		);
		const { next } = readSettings(typed, demoSettings, floating);
		expect(settingsSchema.parse(next)).toEqual(demoSettings);
	});
});

test('every material that a rule of the demo has can be chosen for it', () => {
	for (const rule of rates.rules)
		expect(choicesFor(rule, floating).map((m) => m.id)).toContain(rule.material);
	const offered = choicesFor({ of: 'litre of helium', material: null }, floating).map((m) => m.id);
	expect(offered).toEqual(['helium']);
});

test.each([
	['1/3', '1/3'],
	['10/3', '3 1/3'],
	['71/8', '8.875'],
	['-1/2', '-0.5'],
	['0', '0'],
	['1200', '1200']
])('%s fills a field with “%s”', (value, text) => expect(printNumber(rational(value))).toBe(text));

test('a material that left the Stockroom stays with its rule; one that was never there is refused', () => {
	const typed = printSettings(demoSettings);
	const at = Object.keys(typed).find((k) => k.startsWith('material-') && typed[k] !== '')!;
	const gone = readSettings(typed, demoSettings, []);
	expect(Object.keys(gone.errors).filter((k) => k.startsWith('material-'))).toEqual([]);
	const other = readSettings({ ...typed, [at]: 'never there' }, demoSettings, []);
	expect(other.errors).toMatchObject({ [at]: 'That material is not in the Stockroom.' });
});
