import { describe, expect, test } from 'vitest';
import { POINT } from '../units/number.ts';
import { apart, fitWords, printPairs, readPumps } from './read-pumps.ts';
import { calibrate } from './strokes.ts';

const hand = { id: 'hand', name: 'hand pump', pairs: [{ strokes: 4, diameter: 114.3 }] };
const read = (typed: Record<string, string>) => readPumps(typed, [hand], POINT);

describe('pumps as they are typed', () => {
	test('pairs are read and printed the same; a second pair is a fit of both', () => {
		const { pumps, errors } = read({ 'pump-0': 'hand pump', 'pairs-0': '4 = 4½, 8 = 5⅝' });
		expect(errors).toEqual({});
		expect(pumps[0]).toMatchObject({ id: 'hand', name: 'hand pump' });
		expect(printPairs(pumps[0]!.pairs)).toBe('4 = 4½, 8 = 5⅝');
		expect(calibrate(pumps[0]!.pairs).k).toBeCloseTo(0.1918, 3);
		expect(fitWords(pumps[0]!.pairs)).toMatch(/^A stroke is 19\d mL; .* by \d+ mL on average/);
	});
	test('a new pump gets an id of its own, a renamed one keeps its own, one without a name goes', () => {
		const { pumps } = read({
			'pump-0': 'old hand pump',
			'pairs-0': '4 = 4½',
			'pump-1': 'Hand',
			'pairs-1': '',
			'pump-2': ''
		});
		expect(pumps.map((p) => [p.id, p.name])).toEqual([['hand', 'old hand pump'], ['hand-2', 'Hand']]); // prettier-ignore
		expect(read({ 'pump-0': '', 'pairs-0': '' }).pumps).toEqual([]);
		expect(readPumps({}, [hand], POINT).pumps).toEqual([hand]);
	});
	test.each<[string, Record<string, string>, string, RegExp]>([
		['no strokes', { 'pairs-0': '0 = 4' }, 'pairs-0', /more than 0/],
		['words', { 'pairs-0': 'a few' }, 'pairs-0', /Type what you measured/],
		['no size', { 'pairs-0': '4 =' }, 'pairs-0', /Type what you measured/],
		[
			'pairs that contradict each other',
			{ 'pairs-0': '4 = 4½, 8 = 4½' },
			'pairs-0',
			/contradict each other: a stroke holds 100 % more/
		],
		['measurements without a name', { 'pump-1': '', 'pairs-1': '4 = 4½' }, 'pump-1', /Give it a name/],
		['two of one name', { 'pump-1': 'Hand Pump', 'pairs-1': '' }, 'pump-1', /already/]
	])('%s: refused at its field', (_, typed, field, words) => {
		expect(read({ 'pump-0': 'hand pump', 'pairs-0': '4 = 4½', ...typed }).errors[field]).toMatch(words);
	});
	test('one pair never differs from itself', () => expect(apart(hand.pairs)).toBe(0));
});
