import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import { PRIOR_SPREAD, PRIOR_WEIGHT } from '../labour/standards.ts';
import { lastWords, lessonAbout } from './lesson-words.ts';
import { lessonsOf, paceFrom, paceTaken, type PaceSeen } from './taught.ts';

const seen = (real: number, more: Partial<PaceSeen> = {}): PaceSeen => ({ job: 'a', day: '2027-05-04', key: 'build/run', base: 100, reckoned: 100, real, share: 1, ...more }); // prettier-ignore

describe('what jobs taught of how long work takes', () => {
	test('by hand: three that took 1.12 against a pace of 1 that weighs as six', () => {
		expect(paceFrom([seen(112), seen(112), seen(112)])).toMatchObject({ times: (6 + 3 * 1.12) / 9, mean: 1.12, weight: 3 }); // prettier-ignore
		// A job that was half of something else tells half as much.
		expect(paceFrom([seen(112, { share: 0.5 })]).times).toBeCloseTo((6 + 0.5 * 1.12) / 6.5, 12);
	});
	test('the closed form is the posterior: by summing over a grid of means and variances (Gelman et al., Bayesian Data Analysis, 3.3, from memory)', () => {
		const x = [1.3, 0.95, 1.22, 1.4, 1.08];
		const k = PRIOR_WEIGHT;
		// Prior: variance of inverse gamma(k/2, k·s²/2), the mean normal around 1 with variance σ²/k.
		const [alpha, beta] = [k / 2, (k * PRIOR_SPREAD ** 2) / 2];
		let [whole, mean, under] = [0, 0, 0];
		const found = paceFrom(x.map((v) => seen(v * 100)));
		for (let m = 0.4; m < 1.9; m += 0.0025)
			for (let v = 0.0015; v < 0.5; v += 0.0015) {
				const prior = v ** (-alpha - 1) * Math.exp(-beta / v) * jstat.normal.pdf(m, 1, Math.sqrt(v / k));
				const p = x.reduce((a, one) => a * jstat.normal.pdf(one, m, Math.sqrt(v)), prior);
				whole += p;
				mean += p * m;
				if (m < found.high) under += p;
			}
		expect(mean / whole).toBeCloseTo(found.times, 3);
		expect(under / whole).toBeCloseTo(0.95, 2);
	});
	test('whatever is seen: between 1 and what was seen, nearer to it the more there is, and inside its own bounds (property)', () => {
		const any = fc.array(fc.record({ real: fc.integer({ min: 20, max: 400 }), share: fc.constantFrom(0.1, 0.5, 1) }), { minLength: 1, maxLength: 20 }); // prettier-ignore
		fc.assert(
			fc.property(any, (jobs) => {
				const all = jobs.map((j) => seen(j.real, { share: j.share }));
				const { times, low, high, mean } = paceFrom(all);
				expect(times).toBeGreaterThanOrEqual(Math.min(1, mean) - 1e-9);
				expect(times).toBeLessThanOrEqual(Math.max(1, mean) + 1e-9);
				expect(low).toBeLessThanOrEqual(times);
				expect(high).toBeGreaterThanOrEqual(times);
				const twice = paceFrom([...all, ...all]);
				expect(Math.abs(twice.times - mean)).toBeLessThanOrEqual(Math.abs(times - mean) + 1e-9);
			})
		);
	});
	test('lessons stand by what they are about; what tells nothing is none; taken over to the hundredth', () => {
		const lessons = lessonsOf([
			seen(150, { key: 'set up/room', day: '2027-01-02' }),
			seen(120),
			seen(108, { day: '2027-05-06' }),
			seen(100, { base: 0 }),
			seen(100, { key: 'nonsense' })
		]);
		expect(lessons.map((l) => [l.work, l.of, l.jobs])).toEqual([['build', 'run', 2], ['set up', 'room', 1]]); // prettier-ignore
		expect(lessons[0]!.seen.map((s) => s.day)).toEqual(['2027-05-06', '2027-05-04']);
		expect(paceTaken(lessons[0]!, '2027-06-01')).toEqual({ work: 'build', of: 'run', times: '26/25', jobs: 2, day: '2027-06-01' }); // prettier-ignore
	});
	test('the last three in words, and nothing where it is no news', () => {
		const [garlands] = lessonsOf([seen(300, { day: '2026-01-01' }), seen(112), seen(110), seen(114)]);
		const name = (id: string) => `the ${id}`;
		expect(lastWords(garlands!, name)).toBe('Your last three garlands took 12 % longer than reckoned.');
		const [one] = lessonsOf([seen(80, { key: 'build/stack' })]);
		expect(lastWords(one!, name)).toBe('Your last column took 20 % less long than reckoned.');
		const [room] = lessonsOf([seen(130, { key: 'set up/room' }), seen(130, { key: 'set up/room' })]);
		expect(lastWords(room!, name)).toBe('On your last two jobs of “the room” standing it up took 30 % longer than reckoned.'); // prettier-ignore
		const [same] = lessonsOf([seen(103)]);
		expect(lastWords(same!, name)).toBe('');
		expect(lessonAbout(room!, name)).toBe('“the room”, standing it up');
	});
});
