import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { planOf } from '../plan/plan.ts';
import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { atBench, buildPlan, waysOut, type BuildJob, type BuildShop, type BuildTask } from './build-plan.ts';
import { buildTasks, KEEPS } from './build-tasks.ts';
import { planBlocks } from './plan-blocks.ts';

const TODAY = '2027-06-01';
const day = (n: number) => dayOfNumber(dayNumber(TODAY) + n);
const wren = { id: 'wren', name: 'Wren', pace: 1 };
const shop: BuildShop = { people: [wren], from: 540, hours: 8, benches: 2, cylinders: 1, away: [] };
const step = (id: string, minutes: number, own: Partial<BuildTask> = {}): BuildTask => ({ id, piece: 'column', text: id, minutes, wait: 0, after: [], ahead: 3, needs: [], ...own }); // prettier-ignore
const job = (id: string, event: number, tasks: readonly BuildTask[]): BuildJob => ({ id, says: id, event: day(event), leaves: { day: day(event), minute: 540 }, tasks }); // prettier-ignore
const effort = { rounds: 200 };
const minute = (of: string, at: number) => dayNumber(of) * 1440 + at;

describe('a build plan backwards', () => {
	test('by hand: two hours for a piece that leaves at nine are the last two of the day before', () => {
		const plan = buildPlan([job('fair', 5, [step('a', 60), step('b', 60, { after: ['a'] })])], shop, TODAY, effort); // prettier-ignore
		expect(plan.misses).toBe(0);
		expect(plan.tasks.map((t) => [t.task, t.day, t.from, t.to])).toEqual([['a', day(4), 900, 960], ['b', day(4), 960, 1020]]); // prettier-ignore
	});
	test('paint dries before it is gone on with, over a night too', () => {
		const plan = buildPlan([job('fair', 5, [step('paint', 30, { wait: 600, ahead: 14 }), step('b', 60, { after: ['paint'] })])], shop, TODAY, effort); // prettier-ignore
		const [paint, rest] = plan.tasks;
		expect(minute(rest!.day, rest!.from) - minute(paint!.endDay, paint!.to)).toBeGreaterThanOrEqual(600);
	});
	test('what floats is filled on its day: an hour before nine is nobody’s, and that is said', () => {
		const plan = buildPlan([job('fair', 5, [step('gas', 60, { ahead: 0, needs: ['cylinder'] })])], shop, TODAY, effort); // prettier-ignore
		expect(plan.misses).toBeGreaterThan(0);
		expect([plan.proved, plan.short, plan.tasks[0]!.trouble]).toEqual([true, 60, 'early']);
	});
	test('an event of yesterday, or today with a day of work: begun before today is said as over', () => {
		const plan = buildPlan([job('late', 0, [step('a', 60)])], shop, TODAY, effort);
		expect(plan.tasks[0]!.trouble).toBe('past');
		const gone = buildPlan([job('gone', -2, [step('a', 60)])], shop, TODAY, effort);
		expect(gone.tasks[0]!.trouble).toBe('past');
	});
	test('what does not fit for one fits with two, and that is found', () => {
		// 26 hours in the three days a balloon keeps, of eight hours each.
		const tasks = Array.from({ length: 26 }, (_, i) => step(`t${i}`, 60));
		const jobs = [job('fair', 5, tasks)];
		const plan = buildPlan(jobs, shop, TODAY, effort);
		expect(plan.misses).toBeGreaterThan(0);
		expect(plan.bound).toBe(plan.misses);
		const ways = waysOut(jobs, shop, { today: TODAY, misses: plan.misses }, { rounds: 20 });
		expect(ways.find((w) => w.say.startsWith('One more pair of hands'))?.misses).toBe(0);
		expect(ways.map((w) => w.misses)).toEqual(ways.map((w) => w.misses).toSorted((a, b) => a - b));
	});
	test('who is on the road is not at the bench', () => {
		const away = [{ person: 'wren', day: day(4), from: 700, to: 800 }];
		expect(atBench({ ...shop, away }, 'wren', day(4))).toEqual([[540, 700], [800, 1020]]); // prettier-ignore
		const plan = buildPlan([job('fair', 5, [step('a', 300)])], { ...shop, away }, TODAY, effort);
		for (const t of plan.tasks) if (t.day === day(4)) expect(t.to <= 700 || t.from >= 800 || t.from < 700).toBe(true); // prettier-ignore
		expect(plan.misses).toBe(0);
	});
	const jobs = fc.array(
		fc.record({
			event: fc.integer({ min: 1, max: 9 }),
			sizes: fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 170 }), wait: fc.constantFrom(0, 0, 120), ahead: fc.constantFrom(0, 3, 7, 14) }), { minLength: 1, maxLength: 9 }) // prettier-ignore
		}),
		{ minLength: 1, maxLength: 4 }
	);
	test('nothing is over after it leaves, what follows waits, and all work is there (property)', () => {
		fc.assert(
			fc.property(jobs, fc.integer({ min: 1, max: 3 }), (all, hands) => {
				const own = all.map((j, i) => job(`j${i}`, j.event, j.sizes.map((s, k) => step(`t${k}`, s.minutes, { ...s, after: k > 0 && k % 3 !== 0 ? [`t${k - 1}`] : [] })))); // prettier-ignore
				const people = Array.from({ length: hands }, (_, i) => ({ ...wren, id: `w${i}` }));
				const plan = buildPlan(own, { ...shop, people }, TODAY, { rounds: 20 });
				for (const t of plan.tasks) {
					const { leaves, tasks } = own.find((j) => j.id === t.job)!;
					expect(minute(t.endDay, t.to)).toBeLessThanOrEqual(minute(leaves.day, leaves.minute));
					const of = tasks.find((o) => o.id === t.task.split('~')[0])!;
					for (const before of of.after) {
						const { wait } = tasks.find((o) => o.id === before)!;
						for (const p of plan.tasks) if (p.job === t.job && p.task.split('~')[0] === before) expect(minute(t.day, t.from)).toBeGreaterThanOrEqual(minute(p.endDay, p.to) + wait); // prettier-ignore
					}
				}
				expect(plan.bound).toBeLessThanOrEqual(plan.misses);
				const blocks = planBlocks(plan.tasks, { ...shop, people });
				const steps = blocks.flatMap((d) => d.people.flatMap((p) => p.blocks.flatMap((b) => b.steps)));
				expect(new Set(steps)).toEqual(new Set(plan.tasks.map((t) => t.text)));
			}),
			{ numRuns: 40 }
		);
	}, 60_000);
});

describe('what is built of a piece', () => {
	const context = { catalogue: studio, rates, library: () => undefined };
	const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
	const parts = planOf(column, { colourway: null, size: null, quantity: 2 }, context);
	const tasks = buildTasks(parts, { recipe: column, library: context.library, piece: '2 × column', key: 'l' }, rates.standards); // prettier-ignore
	test('is what its plan has at the bench, each once, waiting for what is there', () => {
		const bench = parts.flatMap((p) => p.steps).filter((s) => s.place === 'bench' && !s.out);
		expect(tasks.map((t) => t.text)).toEqual(bench.map((s) => s.text));
		const ids = new Set(tasks.map((t) => t.id));
		expect(tasks.flatMap((t) => t.after).every((a) => ids.has(a))).toBe(true);
		expect(tasks.find((t) => t.id.includes('inflate'))).toMatchObject({ ahead: 3, needs: [] });
		expect(KEEPS).toEqual({ frame: 14, foils: 7, air: 3, helium: 0 });
	});
	test('its minutes are those of the plan, a started one whole', () => {
		const seconds = parts[0]!.seconds;
		const sum = tasks.reduce((a, t) => a + t.minutes, 0);
		expect(sum).toBeLessThanOrEqual(seconds / 60 + tasks.length);
		expect(sum).toBeGreaterThan(0);
	});
});
