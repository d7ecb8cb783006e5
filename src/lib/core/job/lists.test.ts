import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { sphereLitres } from '../sizing/strokes.ts';
import { tallyOrder, type OrderItem } from '../tally/order.ts';
import { hoursOf } from './hours.ts';
import { inflateList, packList, pullList, strikeList, vanLitres, type TickGroup } from './lists.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
const pair = design('pair', '2 11 at 9 white', '2 5 at 4 white');
const order = (...items: OrderItem[]) => tallyOrder(items, context);
const of = (recipe: typeof column, quantity: number): OrderItem => ({ recipe, colourway: null, quantity });
const keys = (groups: readonly TickGroup[]) => groups.flatMap((g) => g.lines.map((l) => l.key));
const counts = (groups: readonly TickGroup[]) =>
	groups.flatMap((g) => g.lines.map((l) => [l.label, l.count]));

describe('lists of a job', () => {
	const { bill } = order(of(column, 2), of(pair, 3));
	test('one bill for all pieces: each bag is pulled once, largest first, and each size sized once', () => {
		const pulled = pullList(bill.lines);
		expect(pulled[0]).toMatchObject({ name: 'Round balloons' });
		expect(counts(pulled.slice(0, 1))).toEqual([
			['16 rounds, limpet grey', '8'],
			['11 rounds, gull white', '54'],
			['5 rounds, gull white', '6']
		]);
		const sized = inflateList(bill, studio);
		expect(sized.map((g) => g.name)).toEqual(['16 to 12, hole', '11 to 9, hole', '5 to 4, hole']);
		expect(counts(sized).map(([, n]) => n)).toEqual(['8', '54', '6']);
	});
	test('the bill and its lists agree, whatever is built', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.constantFrom(column, pair), fc.integer({ min: 1, max: 30 })), { minLength: 1, maxLength: 6 }), (lines) => {
				const { bill: own } = order(...lines.map(([recipe, n]) => of(recipe, n)));
				const inflated = inflateList(own, studio).flatMap((g) => g.lines).reduce((a, l) => a + Number(l.count), 0);
				expect(inflated).toBe(own.balloons);
				const pulled = pullList(own.lines);
				for (const list of [pulled, inflateList(own, studio), strikeList(own.lines)]) expect(new Set(keys(list)).size).toBe(keys(list).length);
				const taken = new Map(pulled.flatMap((g) => g.lines.map((l) => [l.key, l.count])));
				for (const line of own.lines) if (line.balloon) expect(taken.get(line.key)).toBe(String(line.toBuy));
			}),
			{ numRuns: 40 }
		);
	}); // prettier-ignore
	test('a piece is packed with what comes back of it and what is only taken along; keys are its own', () => {
		const stand = { key: 'stand', label: 'stand', count: '1' };
		const pieces = ['a', 'b'].map((id) => ({ id, name: 'column', quantity: 2, back: [stand], along: [{ ...stand, key: 'stake', label: 'stake' }] }));
		const packed = packList(pieces, { spares: 4 });
		expect(new Set(keys(packed)).size).toBe(keys(packed).length);
		expect(packed[0]!.lines.map((l) => l.note)).toEqual(['', 'comes back', 'taken along, comes back if it is not used']);
		expect(keys(packList(pieces, { spares: 0 }))).not.toContain('spares');
	}); // prettier-ignore
	test('the place is swept whether anything comes home or not', () => {
		expect(strikeList([]).map((g) => g.name)).toEqual(['At the place']);
	});
});

describe('room in the van', () => {
	test('spheres poured at random fill 0.6 of it: Scott & Kilgour 1969, 0.58 to 0.65', () => {
		const { bill } = order(of(column, 1));
		const air = 4 * sphereLitres(12 * 25.4) + 24 * sphereLitres(9 * 25.4);
		const { litres, unsure } = vanLitres(bill, []);
		expect(litres).toBeGreaterThan(air / 0.65);
		expect(litres).toBeLessThan(air / 0.58);
		expect(unsure).toBe(0);
	});
	test('big latex is volume: twice as wide takes eight times the room', () => {
		const one = (line: string) => vanLitres(order(of(design('one', line), 1)).bill, []).litres;
		expect(one('4 16 at 12 grey') / one('4 16 at 6 grey')).toBeCloseTo(8, 6);
	});
	test('what floats is filled there; a size nobody said is reckoned by its bag, and said to be', () => {
		const { inflate } = order(of(pair, 1)).bill;
		expect(vanLitres({ inflate: inflate.map((l) => ({ ...l, gas: 'helium' as const })) }, []).litres).toBe(0);
		const said = { ...inflate[0]!, size: { kind: 'unknown' } as const };
		const { litres, unsure } = vanLitres({ inflate: [said] }, []);
		expect(unsure).toBeCloseTo(litres, 9);
	});
});

describe('hours', () => {
	const { cost } = order(of(column, 2));
	const tansy = { id: 'tansy', name: 'Tansy', wage: 1800, onCosts: '0', pace: '1', isOwner: true };
	const pip = { ...tansy, id: 'pip', pace: '2', isOwner: false };
	const crew = { ...rates, people: [tansy, pip] };
	test('bench and place are all of the work of the pieces', () => {
		const { standard, setUp, strike } = hoursOf(cost, crew, ['tansy']);
		expect(standard + setUp + strike).toBeCloseTo(cost.seconds.valueOf() / 3600, 9);
		expect(setUp).toBeGreaterThan(0);
		expect(strike).toBeGreaterThan(0);
	});
	test('a helper half as quick beside her: two thirds of the time by the clock', () => {
		const alone = hoursOf(cost, crew, ['tansy']);
		const both = hoursOf(cost, crew, ['tansy', 'pip']);
		expect(both.build / alone.build).toBeCloseTo(2 / 3, 9);
	});
});
