import { expect, test } from 'vitest';
import fc from 'fast-check';
import { formatWait, parseWait } from './duration.ts';
import { POINT } from './number.ts';

const read = (text: string) => {
	const done = parseWait(text, POINT);
	return done.ok ? done.value : done.say;
};
test.each<[string, number | null]>([
	['', null],
	['  ', null],
	['0', 0],
	['90 s', 90],
	['10', 600],
	['10 min', 600],
	['1½ h', 5400],
	['1.5 hours', 5400],
	['2 days', 172_800]
])('“%s”', (text, seconds) => expect(read(text)).toBe(seconds));
test.each(['soon', '10 fortnights', '-3 min', '9 days', 'min'])('“%s” is refused in words', (text) => {
	expect(typeof read(text)).toBe('string');
});
test('what is printed reads back as the same (property)', () => {
	const seconds = fc.integer({ min: 1, max: 604_800 });
	fc.assert(fc.property(seconds, (s) => read(formatWait(s)) === s));
	expect([formatWait(0), formatWait(5400)]).toEqual(['', '1 h 30 min']);
});
