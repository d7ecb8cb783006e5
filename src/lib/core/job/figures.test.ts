import { WORK_PHASES } from '../labour/pace.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates as base, studio } from '../../../../tests/kit/studio.ts';
import { jobCost } from '../cost/job-cost.ts';
import { AS_USUAL, jobOf, STARTING_JOBS } from '../labour/job.ts';
import { money } from '../money/money.ts';
import { buildSeconds, tallyOrder } from '../tally/order.ts';
import { countsOf, type JobCounted } from './counted.ts';
import { figuresOf, type FiguresAbout, type JobPiece } from './figures.ts';
import { realCost, reckonedWork, type Reckoning } from './real-cost.ts';

const rates = { ...base, jobs: STARTING_JOBS };
const context = { catalogue: studio, rates, library: () => undefined };
const items = [
	{ recipe: design('column', '4 11 at 9 white x6'), colourway: null, quantity: 2 },
	{ recipe: design('pole', '4 11 at 9 grey x4'), colourway: null, quantity: 1 }
];
const made = tallyOrder(items, context);
const counts = countsOf(made.bill.lines);
const reckoning: Reckoning = { counts, made: made.cost, around: jobCost(jobOf(AS_USUAL, rates.jobs), rates), besides: money(0, 'USD'), rates, net: money(60_000, 'USD'), fees: money(1_800, 'USD') }; // prettier-ignore
const pieces = items.map((item, i): JobPiece => ({
	design: item.recipe.name,
	name: item.recipe.name,
	quantity: item.quantity,
	shown: [40_000, 20_000][i]!,
	cost: made.items[i]!.known.minor,
	seconds: buildSeconds([item], context).reduce((a, k) => a + k.paced, 0),
	uses: new Map(made.bill.lines.flatMap((l) => (l.material && l.byLine.has(i) ? [[l.material.id, l.byLine.get(i)!]] : []))) // prettier-ignore
}));
const about: FiguresAbout = {
	client: 'Library',
	currency: 'USD',
	net: 60_000,
	fees: 1_800,
	pieces,
	counts,
	work: reckonedWork(reckoning),
	base: reckonedWork(reckoning),
	builds: buildSeconds(items, context),
	place: 'piece',
	owners: new Map([['tansy', 30]]),
	ownMinute: 30,
	ownShare: 1
};
const nothing: JobCounted = { day: '2027-06-11', materials: [], times: [], miles: null, costs: [], leftOut: false, note: '' }; // prettier-ignore
const figures = (counted: Partial<JobCounted>) => {
	const all = { ...nothing, ...counted };
	return figuresOf(about, all, realCost(reckoning, all));
};
const of = (all: ReturnType<typeof figures>, part: string) => all.filter((f) => f.part === part);
const white = counts.find((c) => c.label === '11 rounds, gull white')!.material.id;

describe('what a counted job tells', () => {
	test('nothing counted tells what was reckoned, and nothing of how long anything took', () => {
		const all = figures({});
		const [job] = of(all, 'job');
		expect(job).toMatchObject({ net: 60_000, name: 'Library' });
		expect(job!.real).toBe(job!.reckoned);
		expect([of(all, 'pace'), of(all, 'material')]).toEqual([[], []]);
		expect(of(all, 'work').every((w) => w.real === null)).toBe(true);
		const minutes = [...about.work.values()].reduce((a, w) => a + w.minutes, 0);
		expect(of(all, 'hers')[0]).toMatchObject({ reckoned: Math.round(minutes), real: Math.round(minutes), net: Math.round(minutes * 30) }); // prettier-ignore
	});
	test('what was lost of one piece’s balloon is that piece’s', () => {
		const took = { material: white, took: '80', lost: 20, cause: 'popped' } as const;
		const [before, after] = [of(figures({}), 'piece'), of(figures({ materials: [took] }), 'piece')];
		expect(after[0]!.real! - before[0]!.real!).toBeGreaterThan(0);
		expect(after[1]!.real).toBe(before[1]!.real);
		const [lost] = of(figures({ materials: [took] }), 'material');
		expect(lost).toMatchObject({ reckoned: 48_000, real: 80_000, amount: 20_000, cause: 'popped' });
		// A quarter of what was taken cost a quarter of what that cost.
		expect(lost!.net).toBe(Math.round(partOf(took) / 4));
	});
	const partOf = (took: JobCounted['materials'][number]) =>
		realCost(reckoning, { ...nothing, materials: [took] }).parts.find((p) => p.key === `material:${white}`)!.real!; // prettier-ignore
	test('hours at the bench tell of their kind, those of a kind of job of that; her own are hers alone', () => {
		const times = [
			{ phase: 'build', person: 'tansy', minutes: 200 },
			{ phase: 'build', person: 'pip', minutes: 40 },
			{ phase: 'set up', person: 'pip', minutes: 30 }
		] as const;
		const all = figures({ times });
		const [build, place] = of(all, 'pace');
		expect([build!.key, build!.real]).toEqual(['build/stack', 240 * 60]);
		expect(build!.reckoned).toBe(Math.round(about.work.get('build')!.minutes * 60));
		expect([place!.key, place!.real]).toEqual(['set up/piece', 30 * 60]);
		const rest = [...about.work].filter(([p]) => p !== 'build' && p !== 'set up').reduce((a, [, w]) => a + w.minutes, 0); // prettier-ignore
		expect(of(all, 'hers')[0]!.real).toBe(Math.round(200 + rest));
	});
	test('whatever was counted, pieces sum to the job and the job to its parts (property)', () => {
		const anyCount = fc.record({
			materials: fc.subarray(counts).chain((some) => fc.tuple(...some.map((c) => fc.record({ material: fc.constant(c.material.id), took: fc.integer({ min: 0, max: 300 }).map(String), lost: fc.constant(0), cause: fc.constant(null) })))), // prettier-ignore
			times: fc.array(fc.record({ phase: fc.constantFrom(...WORK_PHASES), person: fc.constantFrom('tansy', null), minutes: fc.integer({ min: 0, max: 900 }) }), { maxLength: 5 }), // prettier-ignore
			miles: fc.option(fc.integer({ min: 0, max: 300 })),
			costs: fc.array(fc.record({ label: fc.constant('parking'), minor: fc.integer({ min: 0, max: 9000 }) }), { maxLength: 3 }) // prettier-ignore
		});
		fc.assert(
			fc.property(anyCount, (counted) => {
				const all = figures(counted);
				const [job] = of(all, 'job');
				const sum = (by: 'net' | 'reckoned' | 'real') =>
					of(all, 'piece').reduce((a, p) => a + (p[by] ?? 0), 0);
				expect([sum('net'), sum('reckoned'), sum('real')]).toEqual([job!.net, job!.reckoned, job!.real]);
			})
		);
	});
});
