import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import { money } from '../money/money.ts';
import { priceOrder } from './price.ts';
import {
	contradiction,
	factsOf,
	NO_FACTS,
	RULE_KINDS,
	RULES,
	rulesFor,
	type OrderFacts,
	type PriceRule
} from './rules.ts';

const rule = (kind: PriceRule['kind'], when: string, percent = '10'): PriceRule => ({ kind, when, percent });
const holds = (kind: PriceRule['kind'], when: string, facts: Partial<OrderFacts>) =>
	RULES[kind].holds(when, { ...NO_FACTS, ...facts });

describe('rules of an order', () => {
	test('facts are found by the day, the client and what is on it', () => {
		const book = { today: '2026-11-30', won: { 'Tidewick Library': 3 }, taken: { '2026-12-05': 1 } };
		const order = { client: 'Tidewick Library', day: '2026-12-05', pieces: 6 };
		expect(factsOf(order, book)).toEqual({ notice: 5, day: '2026-12-05', won: 3, pieces: 6, sameDay: 1 });
		expect(factsOf({ ...order, client: 'New', day: null }, book)).toMatchObject({
			notice: null,
			won: 0,
			sameDay: 0
		});
		// Over the change of the clocks a day is a day.
		expect(factsOf({ ...order, day: '2027-03-15' }, { ...book, today: '2027-03-13' }).notice).toBe(2);
	});
	test.each([
		['notice', '7', { notice: 7 }, true],
		['notice', '7', { notice: 8 }, false],
		['notice', '7', { notice: -1 }, false],
		['notice', '7', { notice: null }, false],
		['weekend', '', { day: '2026-12-05' }, true],
		['weekend', '', { day: '2026-12-04' }, false],
		['season', '06-01 to 08-31', { day: '2027-06-01' }, true],
		['season', '06-01 to 08-31', { day: '2027-09-01' }, false],
		['season', '12-15 to 01-06', { day: '2027-01-02' }, true],
		['season', '12-15 to 01-06', { day: '2027-01-07' }, false],
		['busy day', '1', { sameDay: 1 }, true],
		['volume', '5', { pieces: 4 }, false],
		['repeat', '2', { won: 2 }, true],
		['repeat', '0', { won: 0 }, false]
	] as const)('%s %s of %j: %s', (kind, when, facts, is) => expect(holds(kind, when, facts)).toBe(is));
	test('of several of a kind the closest holds: three days beat seven, ten pieces beat five', () => {
		const rules = [
			rule('notice', '7', '25'),
			rule('notice', '3', '50'),
			rule('volume', '5', '5'),
			rule('volume', '10', '8')
		];
		const facts = { ...NO_FACTS, notice: 2, pieces: 12 };
		expect(rulesFor(rules, facts, 'more').map((r) => r.percent)).toEqual(['50']);
		expect(rulesFor(rules, facts, 'less').map((r) => r.percent)).toEqual(['8']);
	});
	test('rules that contradict each other are found: the same twice, seasons that meet', () => {
		expect(contradiction([rule('notice', '7'), rule('volume', '7'), rule('notice', '7', '20')])).toEqual([
			0, 2
		]);
		expect(contradiction([rule('season', '06-01 to 08-31'), rule('season', '08-31 to 10-01')])).toEqual([
			0, 1
		]);
		expect(
			contradiction([rule('season', '12-15 to 01-06'), rule('season', '02-01 to 03-01')])
		).toBeUndefined();
	});
	test('what is typed beside a rule is held to what it is', () => {
		expect(RULES.notice.wrong('soon')).toMatch(/number of days/);
		expect(RULES.season.wrong('summer')).toMatch(/06-01 to 08-31/);
		expect(RULES.season.wrong('13-01 to 14-02')).toBeDefined();
		expect(RULE_KINDS.map((k) => RULES[k].say('3')).every((words) => words.length > 5)).toBe(true);
	});
});

describe('on the tape', () => {
	const order = {
		lines: [
			{
				cost: { known: money(10_000, 'USD'), unknown: [] },
				way: { method: 'markup', percent: '100' } as const
			}
		],
		delivery: null
	};
	const price = (rules: PriceRule[], facts: Partial<OrderFacts>) => {
		const terms = {
			...rates.price,
			feeOnTop: false,
			fee: { ...rates.price.fee, percent: '0', fixedMinor: 0 }
		};
		const found = priceOrder(order, { ...terms, rules, facts: { ...NO_FACTS, ...facts } });
		if (found.status !== 'priced') throw new Error();
		return found;
	};
	test('each is a step with what it leaves, more before less: 200.00 + 20 % − 10 %', () => {
		const found = price([rule('repeat', '1', '10'), rule('weekend', '', '20')], {
			won: 2,
			day: '2026-12-05'
		});
		expect(found.steps.map((s) => [s.id, s.price.minor])).toEqual([
			['on a weekend', 24_000],
			['comes back, 1 or more', 21_600]
		]);
		expect(found.steps[1]!.margin).toBeCloseTo((100 * 11_600) / 21_600, 6);
	});
	test('what does not hold changes nothing; a rule never makes a price negative (property)', () => {
		expect(price([rule('notice', '3', '50')], { notice: 9 }).steps).toEqual([]);
		fc.assert(
			fc.property(fc.constantFrom(...RULE_KINDS), fc.integer({ min: 0, max: 100 }), (kind, percent) => {
				const when = kind === 'season' ? '01-01 to 12-31' : '1';
				const found = price([rule(kind, when, String(percent))], { notice: 0, day: '2026-12-05', won: 9, pieces: 9, sameDay: 9 }); // prettier-ignore
				const by = RULES[kind].way === 'more' ? 100 + percent : 100 - percent;
				expect(found.said.minor).toBe(200 * by);
			})
		);
	});
});
