import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { doneIn, lostIn, markPlace, minutesIn, type TallyMark } from './tally-marks.ts';

const mark = (id: string, own: Partial<TallyMark>): TallyMark => ({ id, line: 'l', step: 'clusters:a', kind: 'done', amount: 1, material: '', cause: null, person: '', at: 0, ...own }); // prettier-ignore

describe('what is counted at the bench', () => {
	test('two who count on one step add up; what is taken back never goes below nothing', () => {
		const taps = fc.array(fc.constantFrom(1, -1), { maxLength: 60 });
		fc.assert(
			fc.property(taps, taps, (one, other) => {
				const marks = [one, other].flatMap((all, who) =>
					all.map((amount, i) => mark(`${who}-${i}`, { amount, person: String(who) }))
				);
				const sum = [...one, ...other].reduce((a, b) => a + b, 0);
				expect(doneIn(marks).get(markPlace('l', 'clusters:a')) ?? 0).toBe(Math.max(0, sum));
			})
		);
	});
	test('what was lost is told by material, with the cause of most of it', () => {
		const lost = (id: string, amount: number, cause: TallyMark['cause']) =>
			mark(id, { kind: 'lost', material: 'm', amount, cause });
		expect(lostIn([lost('a', 2, 'holed'), lost('b', 1, 'popped'), lost('c', 2, 'popped')]).get('m')).toEqual({ pieces: 5, cause: 'popped' }); // prettier-ignore
		expect(lostIn([lost('a', 1, 'cut'), lost('b', -1, 'cut')]).size).toBe(0);
	});
	test('minutes are of who worked, a started one whole', () => {
		const time = (id: string, person: string, amount: number) => mark(id, { kind: 'time', person, amount });
		expect(minutesIn([time('a', 'wren', 100), time('b', 'wren', 25), time('c', '', 60)])).toEqual([{ person: 'wren', minutes: 3 }, { person: '', minutes: 1 }]); // prettier-ignore
	});
});
