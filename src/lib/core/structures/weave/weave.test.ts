import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../../tests/kit/studio.ts';
import { bowOver } from '../../geometry/arc.ts';
import { catalogue } from '../../materials/catalogue.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { Weave } from './document.ts';
import { emptyWeave } from './empty.ts';
import { tally, type Tally } from '../../tally/tally.ts';
import { placeWeave } from './place.ts';
import { planOf } from '../../plan/plan.ts';
import { graphOf, wovenCount } from './graph.ts';
import { joinersOf, sizeOfWeave } from './count.ts';

const stock = catalogue(floating, colours);
const made = (...lines: string[]): Recipe => designOf(floating, 'weave', ['weave wall', ...lines]);
const weave = (...lines: string[]): Weave => made(...lines).sections[0]!.structure as Weave;
const counted = (...lines: string[]): Tally =>
	tally(made(...lines), null, 1, { catalogue: stock, rates, library: () => undefined });
const bought = (t: Tally, key: string): number =>
	t.bill.lines.filter((l) => l.label.includes(key)).reduce((a, l) => a + l.used.valueOf(), 0);
const FT = 304.8;
/** Places on each boundary, lowest first. */
const onBoundaries = (w: Weave): number[] =>
	Array.from(
		{ length: graphOf(w).height + 1 },
		(_, b) => graphOf(w).places.filter((p) => p.at[1] === b).length
	);

describe('links in a grid: common practice', () => {
	test('eight 10-inch links make about 8 ft: a pitch of 1.2 times what they are sized to', () => {
		const { width } = sizeOfWeave(weave('panel of 10 links at 10', 'row 8 white'));
		expect(width / FT).toBeCloseTo(8, 6);
	});
	test('four strings of eight have 18 places: 4 and 4 on the edges, 3, 4, 3 inside', () => {
		const w = weave('panel of 10 links at 10', '4 rows 8 white', 'joined with 5 at 2 red');
		expect(onBoundaries(w)).toEqual([4, 3, 4, 3, 4]);
		expect(joinersOf(w)).toBe(2 * 18);
	});
	test('with the feet of a handle of 8 on two of them: 16 + 14 + 4 = 34 pairs, 68 small balloons', () => {
		const w = weave(
			'panel of 10 links at 10',
			'4 rows 8 white',
			'joined with 5 at 2 red',
			'handle of 8 gold over 6 ft'
		);
		const of = (joint: string) => graphOf(w).places.filter((p) => p.joint === joint).length;
		expect([of('edge') + of('inner'), of('handle'), of('foot')]).toEqual([16, 7, 2]);
		expect(joinersOf(w)).toBe(68);
		const t = counted(
			'panel of 10 links at 10',
			'4 rows 8 white',
			'joined with 5 at 2 red',
			'handle of 8 gold over 6 ft'
		);
		expect([bought(t, 'link white'), bought(t, 'links, gull white'), bought(t, '5 rounds')]).toEqual([
			0, 32, 68
		]);
		expect(bought(t, 'links, hive gold')).toBe(8);
	});
	test('a handle of 8 at 12 in over a 6 ft chord rises 27 in, not 48: it says so', () => {
		const bow = bowOver(8 * 12 * 25.4, 6 * FT)!;
		expect(bow.rise / 25.4).toBeCloseTo(27, 0);
		const says = counted(
			'panel of 10 links at 10',
			'2 rows 8 white',
			'handle of 8 gold over 6 ft to 4 ft'
		).findings;
		expect(says.map((f) => f.say).join('\n')).toMatch(/handle of 8 over 6′ 0″ rises 2′ 3″, not 4′ 0″/);
	});
	test('a ring of six takes 4 of 6', () => {
		const w = weave('ring of 10 links at 10', '2 rows 6 white', 'held 2 of 3');
		expect(onBoundaries(w).slice(0, 2)).toEqual([4, 4]);
		expect(graphOf(w).places.filter((p) => p.joint === 'ends')).toEqual([]);
	});
});

describe('joints against a count done another way', () => {
	const size = fc.record({
		rows: fc.integer({ min: 1, max: 9 }),
		columns: fc.integer({ min: 1, max: 14 }),
		of: fc.integer({ min: 1, max: 5 }),
		stagger: fc.integer({ min: 0, max: 4 })
	});
	const grid = ({ rows, columns, of, stagger }: { rows: number; columns: number; of: number; stagger: number }, shape: Weave['shape'], take = 1): Weave => ({ ...emptyWeave(), shape, take, of, stagger, rows: [{ id: 'r', repeat: rows, blocks: [{ slot: 'a', count: columns }] }] }); // prettier-ignore

	test('a panel: all joints of the grid, when every one is held, are (rows + 1) × (columns − 1)', () => {
		fc.assert(
			fc.property(size, (s) => {
				const w = grid({ ...s, of: 1 }, 'panel');
				const held = graphOf(w).places.filter((p) => p.joint !== 'ends');
				expect(held).toHaveLength((s.rows + 1) * (s.columns - 1));
				expect(graphOf(w).woven).toHaveLength(wovenCount(w));
			})
		);
	});
	test('held so many of so many: as a walk along every boundary counts them', () => {
		fc.assert(
			fc.property(size, fc.integer({ min: 1, max: 5 }), (s, want) => {
				const take = Math.min(want, s.of);
				for (const shape of ['panel', 'ring'] as const) {
					let walked = 0;
					for (let b = 0; b <= s.rows; b++) {
						let phase = (b * s.stagger) % s.of;
						for (let j = 0; j < (shape === 'ring' ? s.columns : s.columns - 1); j++) {
							if (phase < take) walked++;
							phase = phase + 1 === s.of ? 0 : phase + 1;
						}
					}
					const places = graphOf(grid(s, shape, take)).places.filter((p) => p.joint !== 'ends');
					expect(places).toHaveLength(walked);
				}
			})
		);
	});
	test('a honeycomb: Euler’s V − E + F = 1 without the outside, and 3RC + 2R + 2C − 1 sides', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 }), (rows, columns) => {
				const graph = graphOf(grid({ rows, columns, of: 1, stagger: 0 }, 'honeycomb'));
				const [V, E, F] = [graph.places.length, graph.woven.length, rows * columns];
				expect(V - E + F).toBe(1);
				// One row alone has no neighbours above: 5 sides a cell and one more.
				expect(E).toBe(rows === 1 ? 5 * columns + 1 : 3 * rows * columns + 2 * rows + 2 * columns - 1);
				// Every side has two ends: the sum of what meets at the corners is twice the sides.
				const inner = graph.places.filter((p) => p.joint === 'inner').length;
				expect(3 * inner + 2 * (V - inner)).toBe(2 * E);
			})
		);
	});
	test('a base: a closed rectangle, cross pieces from side to side', () => {
		const w = weave(
			'base of 10 links at 9 8 by 4 with 2 cross pieces',
			'row 1 white',
			'joined with 5 at 2 red',
			'ends duplet'
		);
		expect(graphOf(w).woven).toHaveLength(2 * (8 + 4) + 2 * 4);
		const of = (joint: string) => graphOf(w).places.filter((p) => p.joint === joint).length;
		expect([of('base'), of('inner'), of('ends')]).toEqual([24, 2 * 3, 2 * 2]);
		const { width, height } = sizeOfWeave(w);
		expect([width / 25.4, height / 25.4].map((v) => Math.round(v * 10) / 10)).toEqual([86.4, 43.2]);
	});
});

describe('what is seen of a weave', () => {
	test('the same totals whichever way its rows are said', () => {
		const lines = (...rows: string[]) => counted('panel of 10 links at 9', ...rows).bill.lines.map((l) => [l.label, l.used.valueOf()]); // prettier-ignore
		expect(lines('row 4 white / 4 red', 'row 4 white / 4 red')).toEqual(lines('2 rows 4 white / 4 red'));
		expect(lines('2 rows 2 white / 2 white / 4 red')).toEqual(lines('2 rows 4 white / 4 red'));
	});
	test('hidden places take the colour that costs least of their kind and size', () => {
		const t = counted('panel of 10 links at 9', 'row 4 white / 4 hidden');
		// Links of gold are cheapest in the small studio: 800 for 50.
		expect([bought(t, 'gull white'), bought(t, 'hive gold')]).toEqual([4, 4]);
		expect(t.cost.total.unknown).toEqual([]);
	});
	test('a bow keeps its length, and a chord that is too long is said', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.05, max: 0.999, noNaN: true }), (share) => {
				const bow = bowOver(1000, 1000 * share)!;
				expect(bow.radius * bow.angle).toBeCloseTo(1000, 3);
				expect(2 * bow.radius * Math.sin(bow.angle / 2)).toBeCloseTo(1000 * share, 3);
			})
		);
		expect(bowOver(1000, 1001)).toBeUndefined();
		expect(bowOver(1000, 1000)!.rise).toBe(0);
		// Half a circle: its rise is its radius.
		expect(bowOver(Math.PI * 500, 1000)!.rise).toBeCloseTo(500, 6);
		const says = (...more: string[]) => counted('panel of 10 links at 10', '2 rows 6 white', ...more).findings.map((f) => f.say).join(); // prettier-ignore
		expect(says('bent over 7 ft')).toMatch(/cannot be bent over 7′/);
		expect(says('bent over 5 ft')).not.toMatch(/cannot be bent/);
	});
	test('everything woven is drawn: flat, as a ring, bent, and none of it under the floor', () => {
		for (const more of [
			['panel of 10 links at 9'],
			['ring of 10 links at 9'],
			['panel of 10 links at 9', 'bent over 4 ft'],
			['panel of 11 rounds at 9']
		]) {
			const w = weave(...more, '3 rows 6 white', 'joined with 5 at 2 red');
			const { balls, strands } = placeWeave(w);
			expect(balls.length + strands.length).toBe(18 + joinersOf(w));
			for (const { ball } of balls) expect(ball.z - ball.d / 2).toBeGreaterThanOrEqual(-1e-6);
			for (const { path, d } of strands) for (const p of path) expect(p.z).toBeGreaterThanOrEqual(d / 2 - 25);
		}
	});
	test('too many are refused by their count alone', () => {
		const w: Weave = { ...emptyWeave(), rows: Array.from({ length: 3 }, (_, i) => ({ id: `${i}`, repeat: 200, blocks: Array.from({ length: 60 }, () => ({ slot: 'a', count: 500 })) })) }; // prettier-ignore
		expect(wovenCount(w)).toBe(18_000_000);
		expect(graphOf(w).woven).toEqual([]);
		expect(counted('panel of 10 links at 9', ...Array.from({ length: 2 }, () => '200 rows 500 white')).findings[0]).toMatchObject({ code: 'too-many' }); // prettier-ignore
	});
	test('nothing chosen to hold it is said, and its work is counted', () => {
		const t = counted('panel of 10 links at 10', '4 rows 8 white');
		expect(t.findings.map((f) => f.say).join()).toMatch(/36 small balloons hold it and none is chosen/);
		expect(t.tasks.find((k) => k.task === 'weave')?.count).toBe(18);
		expect(t.tasks.find((k) => k.task === 'inflate medium')?.count).toBe(32);
	});
});

test('a handle without a wanted rise reaches what its links reach; bent without balloons, nothing is said of its length', () => {
	const over = (...more: string[]) =>
		sizeOfWeave(weave('panel of 10 links at 9', '3 rows 8 white', ...more)).handle;
	expect(over('handle of 8 red over 6 ft')).toMatchObject({ wanted: null });
	expect(over('handle of 8 red over 6 ft to 1½ ft')).toMatchObject({ wanted: expect.closeTo(1.5 * FT, 6) });
	expect(over()).toBeNull();
	const codes = (...lines: string[]) =>
		counted('panel of 10 links at 9', ...lines).findings.map((f) => f.code);
	expect(codes('row 3 white', 'bent over 9 ft')).toContain('too-short');
	expect(codes('row 3 white')).not.toContain('too-short');
});

test('the feet of a handle stand on the first and the last place of the top edge, not of any other', () => {
	const edges = (...more: string[]) => {
		const { places, height } = graphOf(weave('panel of 10 links at 10', '4 rows 8 white', ...more));
		const along = (at: number) =>
			places.filter((p) => p.joint === 'edge' && p.at[1] === at).map((p) => p.at[0]);
		return { top: along(height), foot: along(0) };
	};
	const plain = edges();
	expect(plain.top.length).toBeGreaterThan(2);
	expect(edges('handle of 8 red over 6 ft')).toEqual({ top: plain.top.slice(1, -1), foot: plain.foot });
});

test('a handle too short for its feet lies flat between them, as wide as its links are', () => {
	const w = weave('panel of 10 links at 9', '3 rows 12 white', 'handle of 4 red over 30 ft');
	const { width, pitch } = sizeOfWeave(w);
	expect(width).toBeGreaterThan(0);
	const red = made('panel of 10 links at 9', '3 rows 12 white', 'handle of 4 red over 30 ft').slots.find((s) => s.name === 'red'); // prettier-ignore
	expect(red).toBeDefined();
	const { strands } = placeWeave(w);
	const handle = strands.filter((s) => s.slot === w.handle!.slot).flatMap((s) => s.path);
	const [low, high] = [Math.min(...handle.map((p) => p.x)), Math.max(...handle.map((p) => p.x))];
	expect(high - low).toBeLessThanOrEqual(4 * pitch);
	expect(high - low).toBeGreaterThan(3 * pitch);
	expect(low + high).toBeCloseTo(0, 3);
});

test('a handle stands on the body it is on: bent with it, its feet on the top edge', () => {
	const rows = ['panel of 10 links at 9', '3 rows 12 white'];
	const flat = placeWeave(weave(...rows, 'handle of 10 red over 6 ft'));
	const bent = placeWeave(weave(...rows, 'bent over 8 ft', 'handle of 10 red over 6 ft'));
	const handle = (placed: typeof flat) => placed.strands.filter((s) => s.piece === '').map((s) => s.path);
	const body = (placed: typeof flat) => placed.strands.filter((s) => s.piece !== '').flatMap((s) => s.path);
	for (const placed of [flat, bent]) {
		for (const foot of [handle(placed)[0]![0]!, handle(placed).at(-1)!.at(-1)!]) {
			// In plan: as near to a link of the body as its own knot is long.
			const near = Math.min(...body(placed).map((p) => Math.hypot(p.x - foot.x, p.y - foot.y)));
			expect(near).toBeLessThan(9 * 25.4);
		}
	}
	expect(handle(bent)[0]![0]!.y).toBeGreaterThan(handle(flat)[0]![0]!.y + 100);
});

describe('strings and ribbons that are made first', () => {
	const WALL = ['panel of 10 links at 10', '5 rows 8 white', 'joined with 5 at 2 red'];
	const madeBy = (...lines: string[]) =>
		planOf(made(...lines), { colourway: null, size: null, quantity: 1 }, { catalogue: stock, rates, library: () => undefined })[0]!; // prettier-ignore
	const taken = (...lines: string[]) =>
		madeBy(...lines).steps.map(
			(s) => [s.id.split(':')[0], s.lines.map((l) => `${l.count} ${l.text}`)] as const
		);
	const seconds = (...lines: string[]) => madeBy(...lines).seconds;
	test('strings are made up before they are joined: five of eight', () => {
		const steps = taken(...WALL, 'strings first');
		expect(steps.find(([kind]) => kind === 'strings')![1]).toEqual([expect.stringMatching(/^5 rows of 8/)]);
		const kinds = steps.map(([kind]) => kind);
		expect(kinds.indexOf('strings')).toBeLessThan(kinds.indexOf('weave'));
	});
	test('ribbons of two of five rows are two, and one of one', () => {
		const [, lines] = taken(...WALL, 'ribbons of 2 first').find(([kind]) => kind === 'woven ribbons')!;
		expect(lines).toEqual(['2 ribbons of 2 strings', '1 ribbon of 1']);
	});
	test('a cage is made of its rings, posts and cross pieces', () => {
		const [, lines] = taken('cage of 10 links at 9, 4 by 3 with 1 cross pieces, 3 rings posts 2', 'row 8 white', 'joined with 5 at 2 red', 'strings first').find(([kind]) => kind === 'strings')!; // prettier-ignore
		expect(lines).toEqual(['3 ring of 14', '8 post of 2', '1 cross piece of 3']);
	});
	test('what is made first takes nothing from the whole: bill and minutes stay (property)', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(
					['panel of 10 links at 10'],
					['ring of 10 links at 10'],
					['base of 10 links at 9, 8 by 4 with 2 cross pieces'],
					['cage of 10 links at 9, 4 by 3, 3 rings posts 2 every 2 over 1']
				),
				fc.integer({ min: 1, max: 7 }),
				fc.integer({ min: 1, max: 9 }),
				fc.boolean(),
				(shape, ribbons, rows, handle) => {
					const lines = [...shape, `${rows} rows 8 white`, 'joined with 5 at 2 red', 'inner quad', ...(handle && shape[0]!.startsWith('panel') ? ['handle of 8 red over 6 ft'] : [])]; // prettier-ignore
					const first = ribbons === 1 ? 'strings first' : `ribbons of ${ribbons} first`;
					expect(counted(...lines, first).bill).toEqual(counted(...lines).bill);
					expect(seconds(...lines, first)).toBeCloseTo(seconds(...lines), 6);
				}
			),
			{ numRuns: 40 }
		);
	});
	test('a honeycomb has no strings: it says so', () => {
		const codes = (...lines: string[]) => counted(...lines).findings.map((f) => f.code);
		expect(codes('honeycomb of 10 links at 9', '2 rows 3 white', 'strings first')).toContain('no-strings');
		expect(codes('honeycomb of 10 links at 9', '2 rows 3 white', 'strings first', 'row on row')).not.toContain('no-strings'); // prettier-ignore
	});
});
