import fc from 'fast-check';
import highs from 'highs';
import { describe, expect, test } from 'vitest';
import { Hours } from './hours.ts';
import { inOrder, type Placed, type Shop, type Task, type Worker } from './schedule.ts';
import { solve } from './solve.ts';

const task = (id: string, minutes: number, own: Partial<Task> = {}): Task => ({ id, minutes, release: 0, due: 0, after: [], needs: [], ...own }); // prettier-ignore
const worker = (id: string, pace = 1, hours: Worker['hours'] = [[0, 100_000]]): Worker => ({ id, pace, hours }); // prettier-ignore
const shop = (tasks: readonly Task[], workers: readonly Worker[], room: Shop['room'] = {}): Shop => ({ tasks, workers, room }); // prettier-ignore
const quick = { rounds: 400 };

/** What every plan has to hold, whatever made it. */
function holds({ tasks, workers, room }: Shop, placed: readonly Placed[]) {
	const at = new Map(placed.map((p) => [p.task, p]));
	for (const own of tasks) {
		const one = at.get(own.id)!;
		expect(one.start).toBeGreaterThanOrEqual(own.release);
		for (const { id, lag } of own.after) expect(one.start).toBeGreaterThanOrEqual(at.get(id)!.end + lag);
		const by = workers.find((w) => w.id === one.worker)!;
		const hours = new Hours(by);
		expect(hours.worked(one.end) - hours.worked(one.start)).toBe(Math.max(1, Math.round(own.minutes * by.pace))); // prettier-ignore
		for (const need of own.needs)
			for (const { start } of placed.filter((p) =>
				tasks.find((t) => t.id === p.task)!.needs.includes(need)
			)) {
				const there = placed.filter((p) => p.start <= start && p.end > start && tasks.find((t) => t.id === p.task)!.needs.includes(need)); // prettier-ignore
				expect(there.length).toBeLessThanOrEqual(room[need] ?? Infinity);
			}
	}
	for (const { id } of workers) {
		const own = placed.filter((p) => p.worker === id).toSorted((a, b) => a.start - b.start);
		own.slice(1).forEach((p, i) => expect(p.start).toBeGreaterThanOrEqual(own[i]!.end));
	}
}

describe('published examples', () => {
	test('one machine with heads and tails, Carlier 1982 (its figures from memory): the earliest tail first gives 53, the best is 50', () => {
		const heads = [10, 13, 11, 20, 30, 0, 30];
		const work = [5, 6, 7, 4, 3, 6, 2];
		const tails = [7, 26, 24, 21, 8, 17, 0];
		const tasks = work.map((p, i) => task(`j${i + 1}`, p, { release: heads[i]!, due: -tails[i]! }));
		const found = solve(shop(tasks, [worker('m')]), quick);
		expect([found.late, found.proved]).toEqual([50, true]);
	});
	test('three machines, Graham 1969 (from memory): the longest first gives 11, the best is 9', () => {
		const tasks = [5, 5, 4, 4, 3, 3, 3].map((p, i) => task(`j${i}`, p));
		const found = solve(shop(tasks, ['a', 'b', 'c'].map((id) => worker(id))), quick); // prettier-ignore
		expect([found.late, found.bound, found.proved]).toEqual([9, 9, true]);
	});
	test('the earliest due first is best on one machine (Jackson 1955)', () => {
		const one = fc.record({
			minutes: fc.integer({ min: 1, max: 30 }),
			due: fc.integer({ min: 1, max: 120 })
		});
		fc.assert(
			fc.property(fc.array(one, { minLength: 1, maxLength: 14 }), (all) => {
				const tasks = all.map((t, i) => task(`t${i}`, t.minutes, { due: t.due }));
				let clock = 0;
				let late = 0;
				for (const { minutes, due } of tasks.toSorted((a, b) => a.due - b.due)) late = Math.max(late, (clock += minutes) - due); // prettier-ignore
				const found = solve(shop(tasks, [worker('m')]), { rounds: 50 });
				expect([found.late, found.bound, found.proved]).toEqual([late, late, true]);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a plan against an integer programme', () => {
	/** Least lateness by a disjunctive model: whom, and what goes before what. */
	async function byProgramme({ tasks, workers }: Shop): Promise<number> {
		const big = 1000;
		const rows: string[] = [];
		const binaries: string[] = [];
		const length = (t: Task, w: number) => Math.max(1, Math.round(t.minutes * workers[w]!.pace));
		tasks.forEach((t, i) => {
			const own = workers.map((_, w) => `x${i}_${w}`);
			binaries.push(...own);
			rows.push(`${own.join(' + ')} = 1`);
			const takes = workers.map((_, w) => `- ${length(t, w)} x${i}_${w}`).join(' ');
			rows.push(`e${i} - s${i} ${takes} = 0`, `s${i} >= ${t.release}`, `L - e${i} >= ${-t.due}`);
			for (const { id, lag } of t.after) rows.push(`s${i} - e${tasks.findIndex((o) => o.id === id)} >= ${lag}`);
			tasks.slice(i + 1).forEach((_, k) => {
				const j = i + 1 + k;
				binaries.push(`y${i}_${j}`);
				for (let w = 0; w < workers.length; w++) {
					// Where both are with one of them, one is over before the other begins.
					rows.push(`s${j} - e${i} - ${big} y${i}_${j} - ${big} x${i}_${w} - ${big} x${j}_${w} >= ${-3 * big}`);
					rows.push(`s${i} - e${j} + ${big} y${i}_${j} - ${big} x${i}_${w} - ${big} x${j}_${w} >= ${-2 * big}`);
				}
			});
		}); // prettier-ignore
		const model = `Minimize\n obj: L\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBounds\n L >= 0\nBinary\n ${binaries.join(' ')}\nEnd`;
		const solver = await highs();
		const solved = solver.solve(model, { mip_rel_gap: 0 });
		expect(solved.Status).toBe('Optimal');
		return Math.round(solved.ObjectiveValue);
	}
	const small = fc.record({
		sizes: fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 20 }), release: fc.integer({ min: 0, max: 30 }), due: fc.integer({ min: 5, max: 50 }) }), { minLength: 2, maxLength: 5 }), // prettier-ignore
		waits: fc.array(fc.tuple(fc.nat(4), fc.nat(4), fc.integer({ min: 0, max: 10 })), { maxLength: 4 }),
		paces: fc.array(fc.constantFrom(1, 1.5, 2), { minLength: 1, maxLength: 2 })
	});
	test('few tasks: no plan is less late, with waits, paces, beginnings and ends as they come', async () => {
		await fc.assert(
			fc.asyncProperty(small, async ({ sizes, waits, paces }) => {
				const tasks = sizes.map((s, i) => {
					const before = waits.filter(([a, b]) => b === i && a < i);
					return task(`t${i}`, s.minutes, { release: s.release, due: s.due, after: [...new Map(before.map(([a, , lag]) => [`t${a}`, { id: `t${a}`, lag }])).values()] }); // prettier-ignore
				});
				const own = shop(tasks, paces.map((p, i) => worker(`w${i}`, p))); // prettier-ignore
				const found = solve(own, quick);
				holds(own, found.placed);
				expect(found.proved).toBe(true);
				expect(found.late).toBe(await byProgramme(own));
			}),
			{ numRuns: 40 }
		);
	}, 120_000);
});

describe('plans of any size', () => {
	const any = fc.record({
		sizes: fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 200 }), release: fc.integer({ min: 0, max: 900 }), due: fc.integer({ min: 60, max: 4000 }), needs: fc.subarray(['bench', 'gas']) }), { minLength: 8, maxLength: 30 }), // prettier-ignore
		waits: fc.array(fc.tuple(fc.nat(29), fc.nat(29), fc.integer({ min: 0, max: 300 })), { maxLength: 25 }),
		paces: fc.array(fc.constantFrom(1, 1.3, 2), { minLength: 1, maxLength: 4 })
	});
	const DAYS: Worker['hours'] = Array.from({ length: 40 }, (_, d) => [d * 1440 + 540, d * 1440 + 1020]);
	test('hold to the hours, the room and the waits; nothing is below the bound', () => {
		fc.assert(
			fc.property(any, ({ sizes, waits, paces }) => {
				const tasks = sizes.map((s, i) => {
					const before = waits.filter(([a, b]) => b === i && a < i);
					return task(`t${i}`, s.minutes, { ...s, after: [...new Map(before.map(([a, , lag]) => [`t${a}`, { id: `t${a}`, lag }])).values()] }); // prettier-ignore
				});
				const own = shop(tasks, paces.map((p, i) => worker(`w${i}`, p, DAYS)), { bench: 2, gas: 1 }); // prettier-ignore
				const found = solve(own, { rounds: 30 });
				expect(found.left).toEqual([]);
				holds(own, found.placed);
				expect(found.bound).toBeLessThanOrEqual(found.late);
				expect(solve(own, { rounds: 30 })).toEqual(found);
			}),
			{ numRuns: 40 }
		);
	}, 60_000);
	test('nobody there, no hours left, waits in a ring: said, never turned round in', () => {
		const one = [task('a', 10)];
		expect(solve(shop(one, []), quick)).toMatchObject({ late: Infinity, left: ['a'] });
		expect(solve(shop(one, [worker('w', 1, [[0, 5]])]), quick)).toMatchObject({
			late: Infinity,
			left: ['a']
		});
		expect(solve(shop([], []), quick)).toMatchObject({ late: 0, proved: true });
		const ring = [task('a', 1, { after: [{ id: 'b', lag: 0 }] }), task('b', 1, { after: [{ id: 'a', lag: 0 }] })]; // prettier-ignore
		expect(() => inOrder(ring)).toThrow('wait for each other');
		expect(() => inOrder([task('a', 1, { after: [{ id: 'gone', lag: 0 }] })])).toThrow('not there');
	});
});

describe('hours as one line of work', () => {
	const hours = new Hours(worker('w', 1, [[540, 1020], [1980, 2460]])); // prettier-ignore
	test('nights are left out; an evening ends a day, the next morning begins one', () => {
		expect([hours.worked(0), hours.worked(600), hours.worked(1500), hours.all]).toEqual([0, 60, 480, 960]);
		expect([hours.begins(480), hours.over(480)]).toEqual([1980, 1020]);
		expect([hours.begins(960), hours.over(961)]).toEqual([undefined, undefined]);
	});
	test('there and back', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 959 }), (n) => {
				expect(hours.worked(hours.begins(n)!)).toBe(n);
				expect(hours.worked(hours.over(n)!)).toBe(n);
			})
		);
	});
});
