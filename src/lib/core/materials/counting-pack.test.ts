import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { catalogue, offeredOf } from './catalogue.ts';
import { costOfPacks, countingPack, withCounting } from './counting-pack.ts';
import { materialFields, printBreaks, readMaterialChange, readWholePack } from './material-form.ts';
import { PLAIN_MATERIAL, type Material, type Pack } from './material.ts';
import { unitCost } from './unit-cost.ts';

const pack = (id: string, count: number, priceMinor: number | null, more: Partial<Pack> = {}): Pack => ({
	id,
	supplier: `supplier of ${id}`,
	count,
	priceMinor,
	...more
});
const balloon = (packs: readonly Pack[], more: Partial<Material> = {}): Material => ({
	...PLAIN_MATERIAL,
	id: 'white',
	kind: 'latex-round',
	name: '11 in round, white',
	packs,
	...more
});
const context = { style: { decimal: '.' as const }, currency: { code: 'USD', digits: 2 } as never };

describe('which price counts', () => {
	const packs = [
		pack('dear', 100, 1800, { usual: true, since: '2026-03-01' }),
		pack('cheap', 50, 700, { since: '2026-01-10' }),
		pack('unknown', 100, null)
	];
	const cost = (price: 'cheapest' | 'usual' | 'last', day = '2026-06-01') =>
		unitCost(withCounting([balloon(packs)], price, day)[0]!)?.valueOf();
	test('the lowest a piece, the usual one, or the last paid: 14, 18 and 18 a piece by hand', () => {
		expect([cost('cheapest'), cost('usual'), cost('last')]).toEqual([14, 18, 18]);
	});
	test('where none is usual or has a day, the cheapest counts', () => {
		const plain = balloon([pack('a', 100, 1800), pack('b', 50, 700)]);
		for (const price of ['usual', 'last'] as const) expect(unitCost(withCounting([plain], price, '2026-06-01')[0]!)?.valueOf()).toBe(14); // prettier-ignore
	});
	test('a sale counts through its last day and not after; a pack not sold any more never', () => {
		const sale = [pack('list', 100, 1600), pack('sale', 100, 1000, { until: '2026-06-10' })];
		const on = (day: string) => unitCost(withCounting([balloon(sale)], 'cheapest', day)[0]!)?.valueOf();
		expect([on('2026-06-10'), on('2026-06-11')]).toEqual([10, 16]);
		expect(unitCost(balloon([pack('gone', 100, 100, { ended: true })]))).toBeUndefined();
	});
	test('what does not change is the very same: nothing is worked out anew (property)', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 9000 })), { minLength: 1, maxLength: 5 }), (said) => {
				const own = balloon(said.map(([count, price], i) => pack(String(i), count, price)));
				expect(withCounting([own], 'cheapest', '2026-06-01')[0]).toBe(own);
				const best = countingPack(own)!;
				for (const p of own.packs) expect(best.priceMinor * p.count).toBeLessThanOrEqual(p.priceMinor! * best.count);
			})
		); // prettier-ignore
	});
	test('price breaks: so many packs cost the price of the largest break they reach', () => {
		const own = { priceMinor: 1650, breaks: [{ from: 5, priceMinor: 1520 }, { from: 10, priceMinor: 1400 }] }; // prettier-ignore
		expect([1, 4, 5, 9, 10, 20].map((n) => costOfPacks(own, n))).toEqual([1650, 6600, 7600, 13_680, 14_000, 28_000]); // prettier-ignore
	});
});

describe('what is retired, and what another stands for', () => {
	const [old, other] = [balloon([pack('a', 100, 1000)], { retired: true, into: 'gull' }), balloon([pack('b', 100, 2000)], { id: 'gull', name: '11 in round, gull' })]; // prettier-ignore
	test('its id leads to the one that stands for it; it is offered no more', () => {
		const all = catalogue([old, other], []);
		expect(all.materials.get('white')).toBe(other);
		expect([...all.byMatch.values()]).toEqual([other]);
		// Of another colour it is found by either.
		const red = { ...other, colour: 'red' };
		expect([...catalogue([{ ...old, colour: 'white' }, red], []).byMatch.values()]).toEqual([red, red]);
		expect(offeredOf([old, other])).toEqual([other]);
	});
	test('retired alone it is counted where it is used, and found by its kind where nothing else is', () => {
		const retired = balloon([pack('a', 100, 1000)], { retired: true });
		expect(catalogue([retired], []).materials.get('white')).toBe(retired);
		expect([...catalogue([retired], []).byMatch.values()]).toEqual([retired]);
	});
	test('two that stand for each other end somewhere', () => {
		const round = [balloon([], { into: 'gull', retired: true }), { ...other, into: 'white', retired: true as const }]; // prettier-ignore
		expect(catalogue(round, []).materials.size).toBe(2);
	});
});

describe('forms of the Stockroom', () => {
	test('a pack whole: breaks in any order, days as days; what cannot be is said at its field', () => {
		const typed = { supplier: 's', count: '100', price: '16.50', breaks: '10 at 14; 5: 15.20', since: '2026-03-01', until: '', usual: 'on', code: ' W-11 ' }; // prettier-ignore
		const suppliers = [{ id: 's' }];
		const read = readWholePack(typed, { suppliers }, context);
		expect(read).toEqual({
			ok: true,
			values: {
				supplierId: 's', count: 100, priceMinor: 1650, depositMinor: null, suppliersName: '', code: 'W-11', since: '2026-03-01', until: null,
				breaks: [{ from: 5, priceMinor: 1520 }, { from: 10, priceMinor: 1400 }], usual: true, ended: false
			}
		}); // prettier-ignore
		expect(read.ok && printBreaks(read.values.breaks ?? undefined, context.style)).toBe('5 at 15.20; 10 at 14.00'); // prettier-ignore
		for (const [field, text] of [['breaks', '1 at 10'], ['breaks', 'cheap'], ['breaks', '5 at 3; 5 at 4'], ['since', 'last week'], ['until', '2026-13-40'], ['supplier', 'x'], ['price', '0'], ['count', '0']] as const) // prettier-ignore
			expect([field, readWholePack({ ...typed, [field]: text }, { suppliers }, context)]).toMatchObject([field, { ok: false, errors: { [field]: expect.stringMatching(/[.?]$/) } }]); // prettier-ignore
	});
	test('a material as its fields is read back as it is', () => {
		const own = balloon([], {
			nominal: 279_400 as never,
			safe: 266_700 as never,
			colour: 'c',
			loss: '1/25',
			litres: 14.6,
			grams: 3.2,
			reuse: { uses: 40, resaleMinor: 1500, upkeepMinor: 50, loss: '1/50' }
		});
		const stock = { materials: [own], colours: [{ id: 'c' }] } as never;
		const read = readMaterialChange(materialFields(own, context.style), stock, context);
		const rest = Object.fromEntries(Object.entries(own).filter(([k]) => k !== 'id' && k !== 'packs'));
		expect(read).toEqual({ ok: true, values: { ...rest, outline: null, facts: {} } });
	});
});
