import { describe, expect, test } from 'vitest';
import { inches } from '../../units/length.ts';
import { foilSail, sailPull } from './foil-size.ts';

describe('a giant foil is a sail', () => {
	test('a disc across a wind of 7.9 m/s, by hand: q = 0.613 v², drag of a plate 1.17', () => {
		// 40 in flat is 30.5 in across when filled: 0.4716 m², 38.26 Pa.
		expect(sailPull(inches(40))).toBeCloseTo(38.257 * 1.17 * 0.4716, 1);
	});
	test('it is said from 40 in on, with how hard it pulls; small ones are none', () => {
		expect(foilSail('moon', inches(36))).toEqual([]);
		const [found] = foilSail('moon', inches(40));
		expect(found!.say).toContain('moon: 40 in of foil are a sail');
		expect(found!.say).toMatch(/17 mph pulls at it with 4.5 lb/);
	});
	test('twice as wide, four times the pull', () => {
		expect(sailPull(inches(80)) / sailPull(inches(40))).toBeCloseTo(4, 9);
	});
});
