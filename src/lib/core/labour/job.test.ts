import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { rates } from '../../../../tests/kit/studio.ts';
import { jobCost } from '../cost/job-cost.ts';
import { AS_USUAL, JOB_TASKS, jobOf, STARTING_JOBS, type JobPlan } from './job.ts';
import { jobPlanSchema, jobRatesSchema } from './job.schema.ts';
import { isDone, siteOf, siteTasks } from './site.ts';
import { TASKS, type Task } from './task.ts';

const with_ = (plan: Partial<JobPlan>) => ({ ...AS_USUAL, ...plan });
const seconds = (plan: Partial<JobPlan>, task: string) =>
	jobOf(with_(plan), STARTING_JOBS).work.find((w) => w.task === task)?.seconds;

describe('work around a job', () => {
	test('starts from its template, each task of it seen', () => {
		const job = jobOf(AS_USUAL, STARTING_JOBS);
		expect(job.template.name).toBe('one piece');
		expect(job.work.map((w) => w.task)).toEqual(JOB_TASKS);
		// 8 miles there and 8 back at 25 an hour are 38.4 minutes, twice: 4608 s.
		expect(seconds({}, 'drive')).toBe(4608);
		expect(seconds({}, 'load')).toBe(15 * 60);
	});
	test('what is said of this one goes over it, minute by minute', () => {
		expect(seconds({ minutes: { load: 40 } }, 'load')).toBe(2400);
		expect(seconds({ minutes: { load: 0 } }, 'load')).toBe(0);
		expect(seconds({ miles: 25, trips: 1 }, 'drive')).toBe(2 * 3600);
		const job = jobOf(with_({ minutes: { load: 40 } }), STARTING_JOBS);
		expect(job.work.filter((w) => w.said).map((w) => w.task)).toEqual(['load']);
	});
	test('what everybody does counts for everybody who goes along; what one does, once', () => {
		expect(seconds({ goers: 3 }, 'drive')).toBe(3 * 4608);
		expect(seconds({ goers: 3 }, 'photographs')).toBe(5 * 60);
	});
	test('a template that is gone is the usual one, and where that is gone the first', () => {
		expect(jobOf(with_({ template: 'gone' }), STARTING_JOBS).template.id).toBe('piece');
		expect(jobOf(AS_USUAL, { ...STARTING_JOBS, usual: 'gone' }).template.id).toBe('delivery');
	});
	test('its cost by hand: 18.00 an hour, 9.00 overhead, 0.60 a mile, parking 8.00', () => {
		const own = { ...rates, jobs: STARTING_JOBS };
		const cost = jobCost(jobOf(with_({ template: 'room', miles: 10, trips: 1, goers: 1 }), own.jobs), own);
		// The road: 20 miles are 48 minutes and 10 of parking: 58 minutes at 27.00, and 12.00 for the van.
		expect(cost.van.minor).toBe(1200);
		expect(cost.road.minor).toBe(1740 + 870 + 1200);
		// The rest: 45 + 60 + 40 + 20 + 30 before, 15 + 10 + 10 + 20 there, 15 + 20 after: 285 minutes, and parking.
		expect(cost.seconds).toBe((58 + 285) * 60);
		expect(cost.rest.minor).toBe(Math.round((285 / 60) * 2700) + 800);
		expect(cost.total.minor).toBe(cost.road.minor + cost.rest.minor);
	});
	test('travel that is not paid costs no wage, and its hours are hours all the same', () => {
		const plan = with_({ template: 'room', miles: 10, trips: 1, goers: 1 });
		const own = { ...rates, jobs: { ...STARTING_JOBS, travelUnpaid: true } };
		const cost = jobCost(jobOf(plan, own.jobs), own);
		// 58 minutes on the road: overhead at 9.00, and 12.00 for the van.
		expect(cost.road.minor).toBe(870 + 1200);
		expect(cost.seconds).toBe((58 + 285) * 60);
	});
	test('parts sum to the whole, and more of anything never costs less (property)', () => {
		const own = { ...rates, jobs: STARTING_JOBS };
		const plan = fc.record({
			miles: fc.nat(200),
			trips: fc.nat(4),
			goers: fc.integer({ min: 1, max: 6 }),
			load: fc.nat(200)
		});
		fc.assert(
			fc.property(plan, ({ load, ...said }) => {
				const at = (minutes: number) =>
					jobCost(jobOf(with_({ ...said, minutes: { load: minutes } }), own.jobs), own);
				const cost = at(load);
				expect(cost.total.minor).toBe(cost.labour.minor + cost.overhead.minor + cost.van.minor + cost.lines.reduce((a, l) => a + l.amount.minor, 0)); // prettier-ignore
				expect(at(load + 10).total.minor).toBeGreaterThan(cost.total.minor);
			})
		);
	});
	test('a week is the most a task takes; a job that never was is read as usual', () => {
		const read = (plan: object) => jobPlanSchema.safeParse({ ...AS_USUAL, ...plan }).success;
		expect(read({ minutes: { load: 10_080 } })).toBe(true);
		for (const plan of [
			{ minutes: { load: 10_081 } },
			{ minutes: { load: -1 } },
			{ miles: 10_000 },
			{ goers: 0 }
		])
			expect(read(plan)).toBe(false);
		expect(jobRatesSchema.parse(undefined)).toEqual(STARTING_JOBS);
		expect(jobRatesSchema.safeParse({ ...STARTING_JOBS, templates: [] }).success).toBe(false);
	});
});

describe('work at the place', () => {
	const total = (tasks: ReturnType<typeof siteTasks>) =>
		tasks.reduce((a, t) => a + t.count * rates.standards[t.task].seconds, 0);
	test('goes by how it stands and how large it is: seconds on a table, minutes for a tall one', () => {
		const bunch = total(siteTasks({ how: 'on a table', mm: 600 }));
		const column = total(siteTasks({ how: 'stands', mm: 1600 }));
		const tall = total(siteTasks({ how: 'stands', mm: 2600 }));
		expect([bunch, column, tall]).toEqual([50, 450, 960]);
		// Along a wall by the foot: 12 ft at 40 + 12 s, and carried in.
		expect(total(siteTasks({ how: 'along', mm: 3657.6 }))).toBe(150 + 12 * 52);
	});
	test('nothing is stood up where it is delivered and left, nothing struck where it stays', () => {
		const tasks = siteTasks({ how: 'stands', mm: 1600 });
		const done = (leftAs: Parameters<typeof isDone>[1]) =>
			tasks.filter((t) => isDone(t, leftAs)).map((t) => t.task);
		expect(done('delivered and left')).toEqual(['carry in']);
		expect(done('set up and left')).toEqual(['carry in', 'stand up', 'level and look over']);
		expect(done('set up and struck')).toHaveLength(4);
		expect(TASKS.filter((task: Task) => siteOf({ task }) === undefined)).not.toContain('strike');
	});
});
