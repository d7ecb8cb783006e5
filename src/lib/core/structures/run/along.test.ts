import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../../tests/kit/studio.ts';
import { bundleOf } from '../../files/bundle.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { madeSteps } from '../../plan/plan.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { tally, type Tally } from '../../tally/tally.ts';
import { inches } from '../../units/length.ts';
import { pointOf } from '../../geometry/path.ts';
import { count, spineLength, spinePieces } from './count.ts';
import type { Run } from './document.ts';
import { layRun } from './lay.ts';
import { estimateUsed } from './organic.ts';
import { filledLength, filledStretches, lengthOfRun } from './path.ts';
import { placeRun } from './place.ts';

const stock = catalogue(floating, colours);
const made = (...lines: string[]): Recipe => designOf(floating, 'run', lines);
const run = (...lines: string[]): Run => made('run garland', ...lines).sections[0]!.structure as Run;
const counted = (...lines: string[]): Tally =>
	tally(made('run garland', ...lines), null, 1, { catalogue: stock, rates, library: () => undefined });
const bought = (t: Tally, key: string): number =>
	t.bill.lines.filter((l) => l.label.includes(key)).reduce((a, l) => a + l.used.valueOf(), 0);
const plan = (...lines: string[]): string[] =>
	madeSteps(made('run garland', ...lines), { catalogue: stock, rates, library: () => undefined }).map((s) => s.text); // prettier-ignore
const FT = 304.8;
const FIVES = '4 5 at 4 white';

describe('so many clusters', () => {
	test('on all of it, however long it is: spread evenly', () => {
		const own = run('line 20 ft', FIVES, '30 clusters in all');
		const at = layRun(own).map((c) => c.at);
		expect(at).toHaveLength(30);
		expect(at[1]! - at[0]!).toBeCloseTo((20 * FT) / 30, 6);
		expect(bought(counted('line 20 ft', FIVES, '30 clusters in all'), '5 rounds')).toBe(120);
		expect(layRun(run('line 20 ft', FIVES, '30 clusters in all', 'clusters as they fit')).length).not.toBe(
			30
		);
	});
	test('on a leg and on an arm, where the others take what fits', () => {
		const own = run(
			'corners up 6 ft of 10 clusters, right 4 ft',
			FIVES,
			'tee at 3 ft left 2 ft of 4 clusters'
		);
		const on = (stretch: number) => layRun(own).filter((c) => c.stretch === stretch).length;
		expect([on(0), on(2)]).toEqual([10, 4]);
		expect(on(1)).toBe(layRun(run('line 4 ft', FIVES)).length);
	});
});

test('an arm past the end is not there, and the others keep what they say', () => {
	const own = run(
		'line 6 ft',
		FIVES,
		'tee at 9 ft up 2 ft of 2 clusters',
		'tee at 3 ft up 2 ft of 5 clusters'
	);
	expect(layRun(own).filter((c) => filledStretches(own)[c.stretch]!.arm)).toHaveLength(5);
});

describe('a stretch that stays free', () => {
	const lines = ['line 20 ft', FIVES, 'free 2 ft at 6 ft'];
	test('nothing stands there, and as much less is taken', () => {
		const own = run(...lines);
		const radius = inches(4) / 2000;
		for (const { ball } of placeRun(own).balls) {
			const along = ball.x + 10 * FT;
			expect(along <= 6 * FT + radius || along >= 8 * FT - radius).toBe(true);
		}
		expect(filledLength(own)).toBeCloseTo(18 * FT, 6);
		// Two stretches, each to the nearest whole cluster.
		expect(layRun(own).length).toBe(
			layRun(run('line 6 ft', FIVES)).length + layRun(run('line 12 ft', FIVES)).length
		);
	});
	test('the spine goes through it; a mix leaves it free too', () => {
		expect(spineLength(run(...lines, 'spine'))).toBe(spineLength(run('line 20 ft', FIVES, 'spine')));
		const mix = ['60 % 11 at 9 of white', '40 % 5 at 4 of red'];
		const [free, whole] = [run('line 20 ft', ...mix, 'free 2 ft at 6 ft'), run('line 18 ft', ...mix)];
		expect(estimateUsed(free).total).toBe(estimateUsed(whole).total);
		// A balloon of the mix may stand over the end of its stretch, not in the middle of what is free.
		for (const { ball } of placeRun(free).balls) expect(Math.abs(ball.x + 3 * FT) > FT / 2).toBe(true);
	});
	test('over a corner it takes from both legs; past the end it is said', () => {
		const own = run('corners up 6 ft, right 4 ft', FIVES, 'free 2 ft at 5 ft');
		expect(filledStretches(own).map((s) => s.length / FT)).toEqual([
			expect.closeTo(5, 6),
			expect.closeTo(3, 6)
		]);
		const found = counted('line 8 ft', FIVES, 'free 2 ft at 7 ft').findings.flatMap((f) => f.say);
		expect(found.join()).toContain('past its end');
	});
	test('whatever is left free, what is filled and what is free make the path (property)', () => {
		const piece = fc.tuple(fc.integer({ min: 1, max: 18 }), fc.integer({ min: 1, max: 6 }));
		fc.assert(
			fc.property(fc.array(piece, { maxLength: 4 }), (pieces) => {
				const own = run('line 20 ft', FIVES, ...pieces.map(([at, long]) => `free ${long} ft at ${at} ft`));
				// The union of the free ones within the path, foot by foot: they begin and end on whole feet.
				const free = Array.from({ length: 20 }, (_, f) =>
					pieces.some(([at, long]) => f >= at && f < at + long)
				);
				expect(filledLength(own)).toBeCloseTo((20 - free.filter(Boolean).length) * FT, 3);
				const stretches = filledStretches(own);
				for (const { stretch, at } of layRun(own)) {
					const along = pointOf(stretches[stretch]!, at).point.x + 10 * FT;
					expect(free[Math.min(19, Math.floor(along / FT))]).toBe(false);
				}
			}),
			{ numRuns: 60 }
		);
	});
});

describe('clusters that get smaller', () => {
	test('from 3 in outermost to 4 in over four, in quarters, at both ends', () => {
		const own = run('line 20 ft', FIVES, 'ends thinner to 3 in over 4 clusters');
		const sizes = layRun(own).map(({ cluster: { places } }) => places[0]!.size);
		const inch = sizes.map((s) => (s.kind === 'value' ? s.um / inches(1) : NaN));
		expect(inch.slice(0, 6)).toEqual([3, 3.25, 3.5, 3.75, 4, 4]);
		expect(inch.slice(-5)).toEqual([4, 3.75, 3.5, 3.25, 3]);
		const lines = counted('line 20 ft', FIVES, 'ends thinner to 3 in over 4 clusters');
		expect(bought(lines, '5 rounds')).toBe(bought(counted('line 20 ft', FIVES), '5 rounds'));
		expect(plan('line 20 ft', FIVES, 'ends thinner to 3 in over 4 clusters').join()).toContain(
			'4 smaller ones at each end'
		);
	});
	test('at one end only; each balloon of an unlike pair in proportion; none becomes larger', () => {
		const own = run('line 10 ft', '1 5 at 4 white with 1 5 at 2 red', 'end thinner to 2 in over 2 clusters');
		const [first, last] = [layRun(own)[0]!, layRun(own).at(-1)!];
		expect(first.cluster).toBe(own.rows[0]!.cluster);
		expect(last.cluster.places.map((p) => p.size.kind === 'value' && p.size.um / inches(1))).toEqual([2, 1]);
		const larger = run('line 10 ft', FIVES, 'end thinner to 5 in over 2 clusters');
		expect(layRun(larger).at(-1)!.cluster).toBe(larger.rows[0]!.cluster);
	});
});

test('another joining, and another spine, from so far along', () => {
	const own = run('line 20 ft', FIVES, 'spine soft line tails 2 ft', 'from 12 ft spine thin ribbon');
	const pieces = spinePieces(own);
	expect(pieces.map((p) => p.um / inches(12))).toEqual([expect.closeTo(14.4, 3), expect.closeTo(9.6, 3)]);
	expect(pieces.reduce((a, p) => a + p.um, 0)).toBe(spineLength(own));
	const half = layRun(run('line 20 ft', FIVES)).filter((c) => c.along >= 10 * FT).length;
	const all = layRun(run('line 20 ft', FIVES)).length - 1;
	const tied = (...lines: string[]) =>
		count
			.needs(run('line 20 ft', FIVES, ...lines), undefined)
			.find((n) => n.what === 'count' && n.of === 'cluster tied with a modelling balloon')
			?.quantity.valueOf();
	expect([tied('from 10 ft joined modelling balloon'), tied('joined modelling balloon')]).toEqual([
		half,
		all
	]);
	expect(half).toBeGreaterThan(all / 3);
});

test('a run along a path that is not worked out yet has its spine all the same', () => {
	const recipe = made('run pipe', 'line 6 ft', 'run garland', 'along pipe', FIVES, 'spine soft line tails 1 ft', 'open 5 ft to 7 ft', 'ends thinner to 3 in over 2 clusters', 'free 1 ft at 2 ft', 'from 3 ft spine thin ribbon'); // prettier-ignore
	const own = recipe.sections[1]!.structure as Run;
	expect(spinePieces(own).map((p) => p.um)).toEqual([2 * inches(12)]);
	expect(() => count.needs(own, undefined)).not.toThrow();
	expect(() => count.tasks(own)).not.toThrow();
	expect(bundleOf([{ id: 'd', recipe }], { materials: floating, colours }).designs).toHaveLength(1);
});

test('a line wound round every balloon is longer by so much for each', () => {
	const plain = run('line 20 ft', FIVES, 'spine soft line');
	const wound = run('line 20 ft', FIVES, 'spine soft line round each balloon 2 in');
	expect(spineLength(wound) - spineLength(plain)).toBe(layRun(plain).length * 4 * inches(2));
});

test('a mix said by counts: about ten of each shade is ten of each; what has a share keeps the rest', () => {
	const own = counted('line 20 ft', 'about 10 of each 5 at 4 of white / red / gold');
	expect(['white', 'red', 'gold'].map((c) => bought(own, c))).toEqual([10, 10, 10]);
	const both = run('line 20 ft', '100 % 11 at 9 of white', 'about 10 of each 5 at 4 of red / gold');
	const { counts } = estimateUsed(both);
	expect(counts![1]).toBe(20);
	expect(counts![0]! + 20).toBe(estimateUsed(run('line 20 ft', '100 % 11 at 9 of white')).total);
});

test('scattered colours are as many of each, only elsewhere', () => {
	const mix = ['line 20 ft', '100 % 5 at 4 of white / red'];
	const tones = (own: Run) => placeRun(own).balls.map((b) => b.slot);
	const [even, will] = [tones(run(...mix)), tones(run(...mix, 'scattered'))];
	const pairs = (all: (string | null)[]) => all.filter((slot, i) => slot === all[i - 1]).length;
	expect(will.toSorted()).toEqual(even.toSorted());
	expect(pairs(will)).toBeGreaterThan(pairs(even));
});

test('infill in clusters: three to each place, tied together', () => {
	const single = counted('line 10 ft', FIVES, 'infill 2 a foot 5 at 2 gold');
	const tied = counted('line 10 ft', FIVES, 'infill 2 a foot clusters of 3 5 at 2 gold');
	expect([bought(single, 'gold'), bought(tied, 'gold')]).toEqual([20, 60]);
	const small = placeRun(run('line 10 ft', FIVES, 'infill 2 a foot clusters of 3 5 at 2 gold')).balls;
	expect(small.filter((b) => b.ball.d < inches(2.1) / 1000)).toHaveLength(60);
});

describe('a length not known before it is built', () => {
	const lines = ['line 8 to 12 ft', FIVES, 'spine soft line'];
	test('is half-way, and its bill and its work have ends: those of the shortest and the longest', () => {
		const own = run(...lines);
		expect(lengthOfRun(own)).toBeCloseTo(10 * FT, 3);
		const fives = counted(...lines).bill.lines.find((l) => l.label.includes('5 rounds'))!;
		const at = (feet: number) => bought(counted(`line ${feet} ft`, FIVES), '5 rounds');
		expect([fives.estimate!.low.valueOf(), fives.used.valueOf(), fives.estimate!.high.valueOf()]).toEqual([at(8), at(10), at(12)]); // prettier-ignore
		const line = counted(...lines).bill.lines.find((l) => l.label.includes('soft line'))!;
		expect([line.estimate!.low.valueOf(), line.estimate!.high.valueOf()]).toEqual([8, 12]); // prettier-ignore
		expect(plan(...lines).join()).toContain('8′ 0″ to 12′ 0″, as it needs');
	});
	test('a length that is said is known', () => {
		expect(run(...lines, 'line 9 ft').open).toBeUndefined();
		expect(run(...lines, 'not open').open).toBeUndefined();
		expect(run(...lines, 'lifted 4 ft').open).toBeDefined();
	});
});

test('the cluster where an arm leaves is turned half a place', () => {
	const [plain, turned] = ['tee at 3 ft up 2 ft', 'tee at 3 ft up 2 ft turned'].map((tee) => placeRun(run('line 6 ft', FIVES, tee)).balls); // prettier-ignore
	const moved = plain!.filter(
		(b, i) => Math.hypot(b.ball.y - turned![i]!.ball.y, b.ball.z - turned![i]!.ball.z) > 1
	);
	expect(moved).toHaveLength(4);
	for (const { ball } of moved) expect(Math.abs(ball.x)).toBeLessThan(100);
});
