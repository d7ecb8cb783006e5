import { WORK_PHASES } from '../labour/pace.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates as base, studio } from '../../../../tests/kit/studio.ts';
import { jobCost } from '../cost/job-cost.ts';
import { AS_USUAL, jobOf, STARTING_JOBS } from '../labour/job.ts';
import { money } from '../money/money.ts';
import { LOSS_CAUSES } from '../stock/ledger.ts';
import { tallyOrder } from '../tally/order.ts';
import { rational, rationalText } from '../units/rational.ts';
import { countedMoves } from './counted-moves.ts';
import { countsOf, printSpell, type CountedMaterial, type JobCounted } from './counted.ts';
import { jobCountedSchema } from './counted.schema.ts';
import { readCounted, spell } from './read-counted.ts';
import { moreOf, realCost, reasonsOf, reasonWords, reckonedWork, type Reckoning } from './real-cost.ts';

const rates = { ...base, jobs: STARTING_JOBS };
const context = { catalogue: studio, rates, library: () => undefined };
const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
const { bill, cost } = tallyOrder([{ recipe: column, colourway: null, quantity: 2 }], context);
const counts = countsOf(bill.lines);
const reckoning: Reckoning = {
	counts,
	made: cost,
	around: jobCost(jobOf(AS_USUAL, rates.jobs), rates),
	besides: money(0, 'USD'),
	rates,
	net: money(40_000, 'USD'),
	fees: money(1_200, 'USD')
};
const nothing: JobCounted = { day: '2027-06-11', materials: [], times: [], miles: null, costs: [], leftOut: false, note: '' }; // prettier-ignore
const white = counts.find((c) => c.label === '11 rounds, gull white')!;
const partOf = (counted: Partial<JobCounted>, key: string) =>
	realCost(reckoning, { ...nothing, ...counted }).parts.find((p) => p.key === key)!;

describe('what a job came to', () => {
	test('nothing counted stands as it was reckoned, and is the cost of the job', () => {
		const came = realCost(reckoning, nothing);
		expect(came.real).toEqual(came.reckoned);
		expect(came.reasons).toEqual([]);
		expect(came.parts.every((p) => moreOf(p) === 0)).toBe(true);
		// By the piece each material is rounded by itself: a cent a line at most.
		const whole = cost.total.known.minor + reckoning.around.total.minor;
		expect(Math.abs(came.reckoned.cost - whole)).toBeLessThanOrEqual(counts.length);
	});
	test('by hand: two hours at the bench at 18.00 and 9.00 overhead each, whatever was reckoned', () => {
		const build = partOf({ times: [{ phase: 'build', person: null, minutes: 120 }] }, 'work:build');
		expect(build.real).toBe(3600);
		expect(build.is).toBe('2:00');
		const was = reckonedWork(reckoning).get('build')!;
		const over = partOf({ times: [{ phase: 'build', person: null, minutes: 120 }] }, 'overhead');
		expect(moreOf(over)).toBe(Math.round((Math.round(120 - was.minutes) / 60) * 900));
	});
	test('by hand: 60 of a balloon at 16.00 a hundred are 9.60; 40 miles at 0.60 are 24.00', () => {
		const took = { material: white.material.id, took: '60', lost: 6, cause: 'popped' } as const;
		const part = partOf({ materials: [took] }, `material:${white.material.id}`);
		const [pack] = white.material.packs;
		expect(part.real).toBe(Math.round((60 * pack!.priceMinor!) / pack!.count));
		expect(reasonWords(part)).toMatch(/: 60 where .+ was reckoned, 6 of them lost \(popped on inflating\)$/);
		expect(partOf({ miles: 40 }, 'van').real).toBe(2400);
	});
	test('somebody who is written down costs what they are paid, with all that comes on top', () => {
		const wren = { id: 'wren', name: 'Wren', wage: 1500, onCosts: '20', pace: '1', isOwner: false };
		const own = { ...reckoning, rates: { ...rates, people: [wren] } };
		const came = realCost(own, {
			...nothing,
			times: [{ phase: 'strike', person: 'wren', minutes: 30 }]
		});
		expect(came.parts.find((p) => p.key === 'work:strike')!.real).toBe(900);
	});
	const took = fc.record({
		materials: fc.tuple(...counts.map((c) => fc.record({ material: fc.constant(c.material.id), took: fc.integer({ min: 0, max: 400 }).map(String), lost: fc.constant(0), cause: fc.constant(null) }))), // prettier-ignore
		times: fc.array(fc.record({ phase: fc.constantFrom(...WORK_PHASES), person: fc.constant(null), minutes: fc.integer({ min: 0, max: 900 }) }), { maxLength: 7 }), // prettier-ignore
		miles: fc.option(fc.integer({ min: 0, max: 300 })),
		costs: fc.array(fc.record({ label: fc.constant('a fine'), minor: fc.integer({ min: 0, max: 9000 }) }), { maxLength: 3 }) // prettier-ignore
	});
	test('the parts make the difference, and the reasons explain most of it with as few as do (property)', () => {
		fc.assert(
			fc.property(took, (counted) => {
				const came = realCost(reckoning, { ...nothing, ...counted });
				const by = came.parts.reduce((a, p) => a + moreOf(p), 0);
				expect(came.real.cost - came.reckoned.cost).toBe(by);
				expect(came.reckoned.profit - came.real.profit).toBe(by);
				const told = came.reasons.reduce((a, p) => a + Math.abs(moreOf(p)), 0);
				const all = came.parts.reduce((a, p) => a + Math.abs(moreOf(p)), 0);
				expect(told).toBeGreaterThanOrEqual(all * 0.8);
				const last = came.reasons.at(-1);
				if (last) expect(told - Math.abs(moreOf(last))).toBeLessThan(all * 0.8);
				expect(reasonsOf(came.parts)).toEqual(came.reasons);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a count and the ledger', () => {
	const material = (id: string) =>
		fc.record({
			material: fc.constant(id),
			took: fc.integer({ min: 0, max: 3000 }).map((n) => rationalText(rational(n, 4))),
			lost: fc.integer({ min: 0, max: 20 }),
			cause: fc.option(fc.constantFrom(...LOSS_CAUSES))
		});
	const count = fc.tuple(material('a'), material('b'), material('stand')).chain((all) => fc.subarray(all));
	test('however often it is put right, the ledger says what the last count says (property)', () => {
		fc.assert(
			fc.property(fc.array(count, { minLength: 1, maxLength: 5 }), (all) => {
				const sums = new Map<string, number>();
				const ids = new Set<string>();
				let before: readonly CountedMaterial[] = [];
				for (const [i, after] of all.entries()) {
					const about = { job: 'q', revision: i + 1, day: '2027-06-11', note: '', backs: new Set(['stand']) };
					for (const [id, moves] of countedMoves(before, after, about))
						for (const move of moves) {
							expect(ids.has(move.id)).toBe(false);
							ids.add(move.id);
							expect(move.thousandths).not.toBe(0);
							sums.set(id, (sums.get(id) ?? 0) + move.thousandths);
						}
					before = after;
				}
				for (const id of ['a', 'b', 'stand']) {
					const last = before.find((m) => m.material === id);
					const gone = last ? (id === 'stand' ? last.lost * 1000 : Math.round(rational(last.took).valueOf() * 1000)) : 0; // prettier-ignore
					expect(sums.get(id) ?? 0).toBe(-gone + 0);
				}
			})
		);
	});
	test('sent once it is written once: the same count again moves nothing', () => {
		const counted = [{ material: 'a', took: '12', lost: 2, cause: 'cut' as const }];
		const about = { job: 'q', revision: 1, day: '2027-06-11', note: '', backs: new Set<string>() };
		const first = countedMoves([], counted, about).get('a')!;
		expect(first.map((m) => [m.kind, m.thousandths, m.cause])).toEqual([['used', -10_000, undefined], ['lost', -2000, 'cut']]); // prettier-ignore
		expect(countedMoves(counted, counted, { ...about, revision: 2 }).get('a')).toEqual([]);
	});
});

describe('reading a count', () => {
	const form = { style: { decimal: '.' as const }, currency: 'USD' as const };
	const read = (typed: Record<string, string>) =>
		readCounted(typed, { counts, people: ['wren'], day: '2027-06-11' }, form);
	const id = white.material.id;
	test('what is blank is not counted, and nothing at all is said', () => {
		const nothingTyped = read({ note: 'rain' });
		expect(nothingTyped.ok || nothingTyped.errors.note).toMatch(/Nothing was counted/);
		const some = read({ [`took.${id}`]: '60', [`lost.${id}`]: '6', [`cause.${id}`]: 'popped', 'time.build.wren': '2:30', 'cost.0': 'parking fine', 'paid.0': '45' }); // prettier-ignore
		expect(some.ok && jobCountedSchema.parse(some.counted)).toMatchObject({
			materials: [{ material: id, took: '60', lost: 6, cause: 'popped' }],
			times: [{ phase: 'build', person: 'wren', minutes: 150 }],
			costs: [{ label: 'parking fine', minor: 4500 }]
		});
	});
	test.each<[Record<string, string>, string, RegExp]>([
		[{ [`took.${id}`]: '-3' }, `took.${id}`, /0/],
		[{ [`took.${id}`]: 'lots' }, `took.${id}`, /is not/],
		[{ [`took.${id}`]: '4', [`lost.${id}`]: '5' }, `lost.${id}`, /More were lost than it took/],
		[{ [`lost.${id}`]: '5' }, `took.${id}`, /in all/],
		[{ 'time.build.': '3' }, 'time.build.', /2:30, 2.5 h or 150 min/],
		[{ 'time.build.': '200 h' }, 'time.build.', /at most a week/],
		[{ 'paid.0': '45' }, 'cost.0', /What was it paid for/],
		[{ 'cost.0': 'fine' }, 'paid.0', /blank/],
		[{ miles: '-1' }, 'miles', /0/]
	])('%j is refused at its field', (typed, field, say) => {
		const outcome = read(typed);
		expect(outcome.ok ? '' : outcome.errors[field]).toMatch(say);
	});
	test('hours and minutes are read as they are printed', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 7 * 24 * 60 }), (minutes) => {
				expect(spell('It').read(printSpell(minutes), form)).toEqual({ ok: true, value: minutes });
			})
		);
		expect(printSpell(119.7)).toBe('2:00');
		expect(spell('It').read('2.5 h', form)).toMatchObject({ value: 150 });
		expect(spell('It').read('90 min', form)).toMatchObject({ value: 90 });
	});
});
