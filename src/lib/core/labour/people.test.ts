import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import { crewOf, type Person } from './people.ts';
import { learned, PRIOR_SPREAD, PRIOR_WEIGHT, STARTING_STANDARDS, timeOf, type Timing } from './standards.ts';
import { plainTask } from './task.ts';

const owner: Person = { id: 'o', name: 'Wren', wage: 2000, onCosts: '10', pace: '1', isOwner: true };
const helper: Person = { id: 'h', name: 'Pip', wage: 1500, onCosts: '20', pace: '8/5', isOwner: false };

describe('who does the work', () => {
	test('nobody named is the studio’s rate, every hour of it the owner’s', () => {
		const crew = crewOf([], 1800);
		expect([crew.perHour, crew.ownHours, crew.clock].map((n) => n.valueOf())).toEqual([1800, 1, 1]);
	});
	test('by hand: 22.00 at pace 1 and 18.00 at pace 1.6 do a standard hour in 8/13 of one, for 24.62', () => {
		const crew = crewOf([owner, helper], 1);
		expect(crew.clock.toFraction()).toBe('8/13');
		expect(crew.perHour.valueOf()).toBeCloseTo((4000 * 8) / 13, 9);
		expect(crew.ownHours.toFraction()).toBe('8/13');
		expect(crew.ownPerHour.valueOf()).toBeCloseTo((2200 * 8) / 13, 9);
	});
	test('hands that wait for each other: two who do nine tenths each take a ninth longer, one alone no longer', () => {
		const [alone, both] = [crewOf([owner], 1, '90'), crewOf([owner, helper], 1, '90')];
		expect(alone.clock.toFraction()).toBe('1');
		expect(both.clock.toFraction()).toBe('80/117');
		expect(both.perHour.valueOf()).toBeCloseTo((4000 * 80) / 117, 9);
	});
	test('another pair of hands never makes it longer, a slower one never cheaper than its like (property)', () => {
		const pace = fc.integer({ min: 5, max: 40 }).map((n) => `${n}/10`);
		fc.assert(
			fc.property(fc.array(pace, { minLength: 1, maxLength: 5 }), pace, (paces, more) => {
				const crew = (own: string[]) =>
					crewOf(
						own.map((p, i) => ({ ...helper, id: String(i), pace: p })),
						1
					);
				expect(crew([...paces, more]).clock.compare(crew(paces).clock)).toBeLessThan(0);
				const slower = crew([...paces.slice(1), '5']);
				expect(slower.perHour.compare(crew([...paces.slice(1), '1/2']).perHour)).toBeGreaterThan(0);
			})
		);
	});
});

const timing = (count: number, seconds: number, out = false): Timing => ({
	day: '2026-05-01',
	count,
	seconds,
	out
});

describe('a standard that learns', () => {
	test('house 22 s, fourteen of hers 17 s: 18½ s', () => {
		const timings = Array.from({ length: 14 }, () => timing(10, 170));
		expect(learned({ seconds: 22, timings })).toMatchObject({ seconds: 18.5, timed: 14, mean: 17 });
	});
	test('nothing timed is the figure as it stands; a bad day is kept and counts for nothing', () => {
		expect(learned({ seconds: 22 })).toMatchObject({ seconds: 22, spread: PRIOR_SPREAD, timed: 0 });
		const bad = [timing(1, 17), timing(1, 900, true)];
		expect(learned({ seconds: 22, timings: bad })).toEqual(
			learned({ seconds: 22, timings: [timing(1, 17)] })
		);
	});
	test('the mean is the textbook’s posterior of a normal: integrated over its density by a statistics library', () => {
		const [prior, sd, data] = [22, 4, [15, 18, 16.5, 19]];
		// A prior of the weight of k builds has the variance σ² / k.
		const density = (m: number) =>
			data.reduce(
				(a, x) => a * jstat.normal.pdf(x, m, sd),
				jstat.normal.pdf(m, prior, sd / Math.sqrt(PRIOR_WEIGHT))
			);
		let [mass, moment] = [0, 0];
		for (let m = 0; m < 45; m += 0.001) {
			const p = density(m);
			mass += p;
			moment += p * m;
		}
		const { seconds } = learned({ seconds: prior, timings: data.map((x) => timing(1, x)) });
		expect(seconds).toBeCloseTo(moment / mass, 6);
	});
	test('lies between what stood and what was timed, and nearer to it with every build (property)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 500 }),
				fc.integer({ min: 1, max: 500 }),
				fc.integer({ min: 1, max: 30 }),
				(house, own, n) => {
					const at = (many: number) => learned({ seconds: house, timings: Array.from({ length: many }, () => timing(1, own)) }).seconds; // prettier-ignore
					expect(at(n)).toBeGreaterThanOrEqual(Math.min(house, own) - 1e-9);
					expect(at(n)).toBeLessThanOrEqual(Math.max(house, own) + 1e-9);
					expect(Math.abs(at(n + 1) - own)).toBeLessThanOrEqual(Math.abs(at(n) - own) + 1e-9);
				}
			)
		);
	});
	test('two filled at once take 65 in 100 of what nobody timed; what was timed was done so already', () => {
		expect(learned({ seconds: 20, twoAtOnce: true }).seconds).toBe(13);
		const timings = [timing(10, 120)];
		expect(learned({ seconds: 20, twoAtOnce: true, timings })).toMatchObject({
			seconds: (6 * 13 + 12) / 7,
			mean: 12
		});
		const tie = { ...STARTING_STANDARDS.tie, twoAtOnce: true };
		expect(timeOf(plainTask('tie', 10), { ...STARTING_STANDARDS, tie }).seconds.valueOf()).toBe(39);
	});
	test('work is timed with what was learned', () => {
		const standards = { ...STARTING_STANDARDS, cluster: { ...STARTING_STANDARDS.cluster, timings: Array.from({ length: 14 }, () => timing(10, 170)) } }; // prettier-ignore
		expect(timeOf(plainTask('cluster', 4), standards).seconds.valueOf()).toBe(74);
	});
});
