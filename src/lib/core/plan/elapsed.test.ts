import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { activitiesOf, crewTime, criticalPath, type Activity } from './elapsed.ts';

const activity = (id: string, work: number, after = '', wait = 0): Activity => ({
	id,
	work,
	wait,
	after: [...after]
});

describe('the critical path', () => {
	/** The seven activities by which the method is usually shown, with their expected times (from memory). */
	const shown = [
		activity('a', 4),
		activity('b', 5.33),
		activity('c', 5.17, 'a'),
		activity('d', 6.33, 'a'),
		activity('e', 5.17, 'bc'),
		activity('f', 4.5, 'd'),
		activity('g', 5.17, 'e')
	];
	test('of the usual example is a c e g, 19.51; b may be 3.84 late, d and f 4.68', () => {
		const { finish, path, slack } = criticalPath(shown);
		expect(finish).toBeCloseTo(19.51, 9);
		expect(path).toEqual(['a', 'c', 'e', 'g']);
		expect(['b', 'd', 'f'].map((id) => Math.round(slack.get(id)! * 100) / 100)).toEqual([3.84, 4.68, 4.68]);
	});
	test('what waits for itself is refused', () => {
		expect(() => criticalPath([activity('a', 1, 'b'), activity('b', 1, 'a')])).toThrow(RangeError);
	});
});

describe('one crew', () => {
	test('works through the wait of one thing with another, and waits only where nothing is left to do', () => {
		const painted = [
			activity('paint', 600, '', 3600),
			activity('hang', 300, ['paint'].join()),
			activity('fill', 1800)
		];
		const own = painted.map((a) => (a.id === 'hang' ? { ...a, after: ['paint'] } : a));
		// Paint 10 min, fill 30 beside its hour, hang 5 when it is dry.
		expect(crewTime(own)).toBe(600 + 3600 + 300);
		expect(crewTime([...own, activity('more', 7200)])).toBe(600 + 1800 + 7200 + 300);
	});
	test('takes no less than all its work and than the critical path, and no more than both (property)', () => {
		const some = fc.array(fc.record({ work: fc.nat(500), wait: fc.nat(500), back: fc.nat(5) }), {
			minLength: 1,
			maxLength: 12
		});
		fc.assert(
			fc.property(some, (found) => {
				const all = found.map(({ work, wait, back }, i): Activity => ({ id: `s${i}`, work, wait, after: back > 0 && i >= back ? [`s${i - back}`] : [] })); // prettier-ignore
				const work = all.reduce((a, s) => a + s.work, 0);
				const time = crewTime(all);
				expect(time).toBeGreaterThanOrEqual(Math.max(work, criticalPath(all).finish) - 1e-9);
				expect(time).toBeLessThanOrEqual(work + all.reduce((a, s) => a + s.wait, 0) + 1e-9);
			})
		);
	});
});

test('steps of two sections do not wait for each other at the bench; where it stands all does', () => {
	const recipe = design('two', '4 11 at 9 white', 'section arm', '4 5 at 4 white');
	const [a, b] = recipe.sections.map((s) => s.id) as [string, string];
	const step = (id: string, uses: string[], place: 'bench' | 'site' = 'bench') => ({
		id,
		uses,
		place,
		wait: 0,
		out: false
	});
	const found = activitiesOf([step('1', [a]), step('2', [b]), step('3', [a]), step('4', [a], 'site'), step('5', [b], 'site')], recipe, () => 60); // prettier-ignore
	expect(found.map((f) => f.after)).toEqual([[], [], ['1'], ['2', '3'], ['4']]);
	expect(activitiesOf([{ ...step('1', [a]), out: true }], recipe, () => 60)).toEqual([]);
});
