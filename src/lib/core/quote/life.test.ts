import { dayWords, longDayWords } from './day-words.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { money } from '../money/money.ts';
import { duesOf, type Paid } from '../papers/dues.ts';
import { compareRevisions } from './compare-revisions.ts';
import { chanceOf, dueOf, type DueIn } from './due.ts';
import type { FrozenLine, FrozenQuote } from './frozen.ts';
import { freezePlace, readKnown, shareOfMm, within, type Place } from './place.ts';
import { QUOTE_EVENTS, QUOTE_STATES, stateAfter, stateOn } from './states.ts';
import { POINT } from '../units/number.ts';

const usd = (minor: number) => money(minor, 'USD');

describe('the life of a quote', () => {
	test('only a draft is issued, and nothing but an issue or a drop leads out of a draft', () => {
		for (const state of QUOTE_STATES)
			expect(stateAfter(state, 'issued')).toBe(state === 'draft' ? 'sent' : undefined);
		expect(QUOTE_EVENTS.filter((e) => stateAfter('draft', e))).toEqual(['issued', 'revision dropped']);
	});
	test('what was cancelled is not answered; what lapsed still can be by the owner', () => {
		expect(stateAfter('cancelled', 'accepted')).toBeUndefined();
		expect(stateAfter('lapsed', 'accepted')).toBe('accepted');
		expect(stateOn('seen', '2027-05-19', '2027-05-18')).toBe('lapsed');
		expect(stateOn('seen', '2027-05-18', '2027-05-18')).toBe('seen');
		expect(stateOn('accepted', '2027-05-19', '2027-05-18')).toBe('accepted');
	});
	const asked: DueIn = { state: 'sent', eventDate: null, validUntil: '2027-06-01', sinceIssued: 4, sinceSaid: 4, isAsked: false, today: '2027-05-20' }; // prettier-ignore
	test.each([
		[{}, 'sent 4 days ago, not seen'],
		[{ sinceIssued: 1, sinceSaid: 1 }, undefined],
		[{ state: 'seen' as const, sinceSaid: 5 }, 'seen, no answer for 5 days'],
		[{ state: 'seen' as const, sinceSaid: 4 }, undefined],
		[{ today: '2027-06-02' }, 'lapsed: revise it or let it go'],
		[{ state: 'accepted' as const, isAsked: true }, 'asked a question: answer it'],
		[{ state: 'accepted' as const }, undefined],
		[{ state: 'declined' as const }, undefined]
	])('what is due: %j', (more, say) => expect(dueOf({ ...asked, ...more })?.say).toBe(say));
	test('the chance of a yes by the rule of succession: none of none is a half, 3 of 4 two thirds', () => {
		expect(chanceOf({ won: 0, all: 0 })).toBe(0.5);
		expect(chanceOf({ won: 3, all: 4 })).toBeCloseTo(2 / 3, 12);
	});
});

describe('what is paid and due', () => {
	const order = { total: usd(50_000), deposit: usd(15_000) };
	const paid = (...minors: number[]): Paid[] =>
		minors.map((minor) => ({ kind: 'deposit', minor, state: 'paid' }));
	test('first the deposit, then the rest, then nothing; what fails counts for nothing', () => {
		expect(duesOf(order, []).next).toEqual({ kind: 'deposit', minor: 15_000 });
		expect(duesOf(order, [{ kind: 'deposit', minor: 15_000, state: 'failed' }]).next?.minor).toBe(15_000);
		expect(duesOf(order, paid(15_000)).next).toEqual({ kind: 'balance', minor: 35_000 });
		expect(duesOf(order, paid(15_000, 35_000))).toMatchObject({ next: null, left: 0 });
		expect(duesOf(order, [{ kind: 'deposit', minor: 15_000, state: 'late' }])).toMatchObject({
			next: null,
			late: 15_000
		});
		expect(duesOf({ ...order, deposit: usd(0) }, []).next).toEqual({ kind: 'balance', minor: 50_000 });
	});
	test('paying what is next until nothing is, pays the total exactly (property)', () => {
		fc.assert(
			fc.property(fc.nat({ max: 1e7 }), fc.nat({ max: 1e7 }), (total, deposit) => {
				const own = { total: usd(total), deposit: usd(Math.min(deposit, total)) };
				const payments: Paid[] = [];
				for (let next = duesOf(own, payments).next; next; next = duesOf(own, payments).next)
					payments.push({ ...next, state: 'paid' });
				expect(payments.reduce((a, p) => a + p.minor, 0)).toBe(total);
				expect(payments.length).toBeLessThanOrEqual(2);
			})
		);
	});
});

describe('two writings of a quote', () => {
	const line = (name: string, quantity: number, minor: number, colourway = 'gold'): FrozenLine => ({ name, quantity, colourway, amount: usd(minor), about: '', picture: null }); // prettier-ignore
	const quote = (lines: FrozenLine[], more: Partial<FrozenQuote> = {}) =>
		({ occasion: 'Regatta', eventDate: '2027-06-12', venue: 'Slipway', lines, delivery: usd(0), discount: usd(0), total: usd(0), deposit: usd(0), validUntil: '2027-05-18', note: '', ...more }) as FrozenQuote; // prettier-ignore
	test('the same one twice differs in nothing', () => {
		const one = quote([line('column', 2, 9000)]);
		expect(compareRevisions(one, one)).toEqual([]);
	});
	test('a number, a colour, a line more and a line less, the day', () => {
		const before = quote([line('column', 2, 9000), line('arch', 1, 5000), line('bunch', 4, 800)]);
		const after = quote([line('column', 3, 13_000), line('arch', 1, 5000, 'blue'), line('wall', 1, 700)], { eventDate: '2027-06-19' }); // prettier-ignore
		expect(compareRevisions(before, after)).toEqual([
			{ what: 'date', before: 'Sat, Jun 12, 2027', after: 'Sat, Jun 19, 2027' },
			{ what: 'column, gold', before: '2 × for $90.00', after: '3 × for $130.00' },
			{ what: 'arch, colours', before: 'gold', after: 'blue' },
			{ what: 'bunch, gold', before: '4 × for $8.00', after: '' },
			{ what: 'wall, gold', before: '', after: '1 × for $7.00' }
		]);
	});
});

describe('pieces in a photo of the place', () => {
	const place: Place = { photo: 'p', width: 1000, height: 500, from: [0.1, 0.2], to: [0.1, 0.8], mm: 2000, pieces: [{ line: 'a', x: 0.5, y: 0.8, turned: true }, { line: 'gone', x: 0, y: 0, turned: false }] }; // prettier-ignore
	test('by hand: a door of 2 m that is 300 px tall in a photo 1000 px wide: 1 m is 150 px, 0.15 of the width', () => {
		expect(1000 * shareOfMm(place)!).toBeCloseTo(0.15, 12);
		expect(shareOfMm({ ...place, to: place.from })).toBeUndefined();
	});
	test('frozen with the places of its lines; what is not on the quote any more stands nowhere', () => {
		const frozen = freezePlace(place, (id) => (id === 'a' ? 3 : -1))!;
		expect(frozen.pieces).toEqual([
			{ line: 3, x: 0.5, y: 0.8, mm: expect.closeTo(0.00015, 9), turned: true }
		]);
	});
	test.each([
		['6 ft 8 in', 2032],
		['2 m', 2000],
		['80 in', 2032]
	])('“%s” is %i mm', (text, mm) => expect(readKnown(text, 'ft', POINT)).toBeCloseTo(mm, 6));
	test.each(['', 'a door', '1 in', '200 ft'])('“%s” is asked about', (text) =>
		expect(readKnown(text, 'ft', POINT)).toEqual(expect.any(String))
	);
	test('nothing is dragged far out of it', () => expect([within(3), within(-3), within(0.5)]).toEqual([1.2, -0.2, 0.5])); // prettier-ignore
});

describe('days in words', () => {
	test.each([
		['month first', 'Sat, Jun 12, 2027', 'Saturday, June 12, 2027'],
		['day first', 'Sat 12 Jun 2027', 'Saturday 12 June 2027'],
		['year first', 'Sat 2027-06-12', 'Saturday 2027-06-12']
	] as const)('%s', (dates, short, long) => {
		expect(dayWords('2027-06-12', { dates })).toBe(short);
		expect(longDayWords('2027-06-12', { dates })).toBe(long);
	});
});
