import { expect, test } from 'vitest';
import { linkHoldsUntil } from './link.ts';

test.each([
	['2027-06-12', '2027-05-01', '2027-12-09'],
	[null, '2027-05-01', '2027-10-28'],
	['2027-04-01', '2027-05-01', '2027-10-28'],
	['2028-02-29', '2027-05-01', '2028-08-27']
])('an event on %s, valid until %s: the link opens until %s', (eventDate, validUntil, day) =>
	expect(linkHoldsUntil({ eventDate, validUntil })).toBe(day)
);
