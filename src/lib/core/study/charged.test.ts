import { expect, test } from 'vitest';
import { money } from '../money/money.ts';
import type { QuoteState } from '../quote/states.ts';
import { chargedOf, yearOf } from './charged.ts';

const usd = (minor: number) => money(minor, 'USD');
const sent = (
	state: QuoteState,
	worked?: {
		net: number;
		hours: number;
		ownHour: number | null;
		ownHours: number;
		feet: number;
		balloons: number;
	}
) =>
	chargedOf({
		id: 'q',
		number: 7,
		client: 'Tidewick Library',
		day: '2026-05-01',
		state,
		owner: { cost: usd(1), unknown: [], margin: 40, profit: usd(1), versions: [], ...(worked && { worked }) }
	});
const worked = { net: 60_000, hours: 8, ownHour: 4000, ownHours: 6, feet: 12, balloons: 100 };

test('a quote that was sent is told by a foot and an hour, and by how it ended: lapsed is lost', () => {
	expect(sent('accepted', worked)).toMatchObject({
		outcome: 'won',
		perFoot: 5000,
		perHour: 7500,
		net: 60_000
	});
	expect((['sent', 'declined', 'lapsed'] as const).map((s) => sent(s, worked)?.outcome)).toEqual(['waiting', 'lost', 'lost']); // prettier-ignore
	expect(sent('sent', { ...worked, feet: 0 })?.perFoot).toBeUndefined();
});
test('one from before its work was counted is not compared', () => expect(sent('accepted')).toBeUndefined());

test('a year by hand: what an hour of hers earned over all that was won, weighed by her hours', () => {
	const one = (state: QuoteState, more: Partial<typeof worked> = {}) => ({ state, owner: { cost: usd(1), unknown: [], margin: 40, profit: usd(1), versions: [], worked: { ...worked, ...more } } }); // prettier-ignore
	const year = yearOf([
		one('accepted'),
		one('accepted', { ownHour: 2000, ownHours: 2, net: 10_000 }),
		one('declined'),
		one('sent')
	]);
	expect(year).toEqual({ won: 2, answered: 3, net: 70_000, hours: 16, ownHour: (6 * 4000 + 2 * 2000) / 8 });
	expect(yearOf([])).toMatchObject({ won: 0, net: 0, ownHour: undefined });
});
