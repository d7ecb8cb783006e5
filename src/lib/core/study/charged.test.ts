import { expect, test } from 'vitest';
import { money } from '../money/money.ts';
import type { QuoteState } from '../quote/states.ts';
import { chargedOf } from './charged.ts';

const usd = (minor: number) => money(minor, 'USD');
const sent = (
	state: QuoteState,
	worked?: { net: number; hours: number; ownHour: null; feet: number; balloons: number }
) =>
	chargedOf({
		id: 'q',
		number: 7,
		client: 'Tidewick Library',
		day: '2026-05-01',
		state,
		owner: { cost: usd(1), unknown: [], margin: 40, profit: usd(1), versions: [], ...(worked && { worked }) }
	});
const worked = { net: 60_000, hours: 8, ownHour: null, feet: 12, balloons: 100 };

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
