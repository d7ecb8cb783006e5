import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { catalogue } from './catalogue.ts';
import { PLAIN_MATERIAL, type Material, type Reuse } from './material.ts';
import { readMaterial } from './material-form.ts';
import { expectedUses, unitCost } from './unit-cost.ts';

const hoop = (reuse: Reuse | null): Material => ({
	...PLAIN_MATERIAL,
	id: 'hoop',
	kind: 'base',
	name: 'hoop on a stand',
	reuse,
	packs: [{ id: 'p', supplier: 'a yard', count: 1, priceMinor: 13_600 }]
});

describe('what a use of a thing that comes back costs', () => {
	test('by hand: 136.00, sold again for 16.00 after 40 uses, 0.50 of upkeep: 3.50 a use', () => {
		expect(unitCost(hoop({ uses: 40, resaleMinor: 1600, upkeepMinor: 50 }))?.valueOf()).toBe(350);
	});
	test('by hand: half of them lost each time, two uses: 1.5 uses to be had, a quarter left to sell', () => {
		const { uses, left } = expectedUses({ uses: 2, loss: '1/2' });
		expect([uses.valueOf(), left.valueOf()]).toEqual([1.5, 0.25]);
		const cost = unitCost(hoop({ uses: 2, resaleMinor: 1600, upkeepMinor: 0, loss: '1/2' }));
		expect(cost?.valueOf()).toBeCloseTo((13_600 - 400) / 1.5, 9);
	});
	test('as many uses as are met by playing each life out, and fewer the more is lost (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 90 }), (uses, percent) => {
				const lost = percent / 100;
				// Use k + 1 is had where it came back k times.
				const sum = Array.from({ length: uses }, (_, k) => (1 - lost) ** k).reduce((a, b) => a + b, 0);
				expect(expectedUses({ uses, loss: `${percent}/100` }).uses.valueOf()).toBeCloseTo(sum, 6);
				expect(sum).toBeLessThanOrEqual(uses);
			})
		);
	});
});

describe('a deposit on a cylinder', () => {
	test('is told beside the gas, comes back, and is no part of the cost', () => {
		const gas = floating.map((m) => (m.id === 'helium' ? { ...m, packs: m.packs.map((p) => ({ ...p, depositMinor: 6000 })) } : m)); // prettier-ignore
		const recipe = designOf(floating, 'bunch', ['bunch moons', 'weight sack', '3 buoy foil in helium on 4 ft thin ribbon']); // prettier-ignore
		const rules = [...rates.rules, { of: 'litre of helium' as const, each: '1', material: 'helium' }];
		const context = (materials: typeof floating) => ({ catalogue: catalogue(materials, colours), rates: { ...rates, rules }, library: () => undefined }); // prettier-ignore
		const [plain, lent] = [floating, gas].map((m) => tally(recipe, null, 1, context(m)).cost);
		expect(lent!.total).toEqual(plain!.total);
		const line = lent!.materials.find((l) => l.parts.some((p) => p.label.startsWith('deposit')))!;
		expect(line.parts.find((p) => p.label.startsWith('deposit'))).toMatchObject({ label: 'deposit on 1, comes back', amount: { minor: 6000 } }); // prettier-ignore
	});
});

describe('the form of a thing that comes back', () => {
	const stock = { materials: [], colours: [], suppliers: [{ id: 's' }] };
	const plain = { id: 'x', kind: 'base', name: 'hoop', supplier: 's', count: '1', price: '136.00', nominal: '', colour: '', loss: '', litres: '', grams: '', chambers: '', mark: '', resale: '', upkeep: '', gone: '' }; // prettier-ignore
	const read = (more: Record<string, string>) =>
		readMaterial({ ...plain, ...more }, stock, { style: { decimal: '.' }, currency: 'USD' });
	test('its uses, resale, upkeep and losses; blank is used up', () => {
		expect(read({ uses: '40', resale: '16', upkeep: '0.5', gone: '2' })).toMatchObject({
			values: { reuse: { uses: 40, resaleMinor: 1600, upkeepMinor: 50, loss: '1/50' } }
		});
		expect(read({ uses: '' })).toMatchObject({ values: { reuse: null } });
	});
	test('a resale of something that is used up is asked about', () =>
		expect(read({ uses: '', resale: '16' })).toMatchObject({
			errors: { uses: expect.stringContaining('How often') }
		}));
});
