import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, entryContext, floating, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { parseEntry } from '../../language/read.ts';
import { MODELS, SHAPINGS, type Form, type FormPiece } from './document.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import { UNKNOWN_SIZE } from '../../sizing/size.ts';
import { tally } from '../../tally/tally.ts';
import { inches } from '../../units/length.ts';
import { assemble } from '../../assembly/assemble.ts';
import { bubbleWords, leftOvers, litresOf, MODEL_SIZE, nestingOf, strokesOf } from './count.ts';
import { placeForm } from './place.ts';
import type { Point } from '../kit/strand.ts';

const IN = 25.4;
const context = { catalogue: catalogue(floating, colours), rates, library: () => undefined };
const made = (...lines: string[]): Recipe => designOf(floating, 'form', lines);
const formIn = (recipe: Recipe): Form =>
	recipe.sections.map((s) => s.structure).find((s) => s.kind === 'form')!;
const pieceOf = (line: string): FormPiece => formIn(made('form f', line)).pieces[0]!;
const whole = (recipe: Recipe) =>
	tally(recipe, null, 1, context).bill.lines.filter((l) => l.label.includes('260')).map((l) => [l.label, l.used.valueOf(), l.toBuy]); // prettier-ignore
const says = (line: string) => {
	const recipe = made('form f');
	const parsed = parseEntry(line, {
		...entryContext(recipe),
		materials: floating,
		section: recipe.sections[0]!.id
	});
	return parsed.ok ? 'understood' : parsed.say;
};
const long = (path: readonly Point[]): number =>
	path.slice(1).reduce((a, p, i) => a + Math.hypot(p.x - path[i]!.x, p.y - path[i]!.y, p.z - path[i]!.z), 0);

describe('whole balloons are counted', () => {
	test('whole, part used, cut in three (rounded up once), two together, left-over ends for nothing', () => {
		expect(whole(made('form f', '6 260 red 24'))).toEqual([['260 modelling balloons, buoy red', 6, 6]]);
		expect(whole(made('form f', '4 260 red 12 part used'))[0]![1]).toBe(4);
		expect(whole(made('form f', '4 260 red 12 cut in 3'))[0]).toEqual(['260 modelling balloons, buoy red', 4 / 3, 2]); // prettier-ignore
		expect(whole(made('form f', '5 260 red 20 2 together'))[0]![1]).toBe(10);
		expect(whole(made('form f', '4 260 red 12 part used', '3 260 red scrap'))).toHaveLength(1);
		expect(whole(made('form f', '4 260 red 12 part used', '3 260 red scrap'))[0]![1]).toBe(4);
	});
	test('where there are too few ends whole ones are opened, and it is said', () => {
		const recipe = made('form f', '2 260 red 12 part used', '5 260 red scrap');
		expect(leftOvers(formIn(recipe))).toBe(-3);
		expect(whole(recipe)[0]![1]).toBe(5);
		expect(tally(recipe, null, 1, context).findings.map((f) => f.code)).toContain('no-left-overs');
	});
	test('an uninflated tie is bought and nothing of it is filled', () => {
		const recipe = made('form f', '4 260 white tie');
		const { tasks, bill } = tally(recipe, null, 1, context);
		expect(whole(recipe)[0]![1]).toBe(4);
		expect(tasks.map((t) => t.task)).toEqual(['carry in, small', 'set on its table', 'strike, small']);
		expect(bill.inflate[0]!.label).toBe('260, not inflated, gull white');
	});
	test('wound is filled twice and shaped; twisted in two; necks cut off; softened', () => {
		const tasks = (line: string) =>
			Object.fromEntries(tally(made('form f', line), null, 1, context).tasks.map((t) => [t.task, t.count]));
		expect(tasks('6 260 red 40 wound')).toMatchObject({ 'inflate modelling': 12, tie: 6, shape: 6 });
		expect(tasks('6 260 red 7 + 6')).toMatchObject({ 'inflate modelling': 6, twist: 6 });
		expect(tasks('6 260 red 20 neck cut softened')).toMatchObject({ cut: 6, shape: 6 });
		expect(tasks('3 260 red 20 + 20 2 together')).toMatchObject({ twist: 3 * (2 + 1) });
	});
	test('350 and 360 are two materials, though both are 3 in wide', () => {
		const labels = tally(made('form f', '1 350 red 20', '1 360 red 20'), null, 1, context).bill.lines.map((l) => l.label); // prettier-ignore
		expect(labels).toEqual(['350 modelling balloons, buoy red', '360 modelling balloons, buoy red']);
	});
});

describe('lengths, strokes and bands', () => {
	const hand = { id: 'h', name: 'hand pump', pairs: [{ strokes: 4, diameter: 4.5 * IN }] };
	test('a 260 of 24 in by hand: π·5.08²·(60.96 − 5.08)/4 + π·5.08³/6 = 1.201 L, 6.1 strokes of 0.1955 L; wound twice that', () => {
		expect(litresOf(pieceOf('1 260 red 24'))).toBeCloseTo(1.2013, 3);
		expect(strokesOf(pieceOf('1 260 red 24'), hand)).toBeCloseTo(6.14, 1);
		expect(strokesOf(pieceOf('1 260 red 24 wound'), hand)).toBeCloseTo(12.29, 1);
		expect(strokesOf(pieceOf('1 260 red tie'), hand)).toBeUndefined();
		expect(strokesOf(pieceOf('1 260 red 24'), { ...hand, pairs: [] })).toBeUndefined();
	});
	test('twists take an inch each: 29 + 29 fills a 260, 30 + 30 does not go in', () => {
		expect(says('1 260 red 29 + 29')).toBe('understood');
		expect(says('1 260 red 30 + 30')).toMatch(/60 in do not go into it/);
		expect(says('4 260 red 40 growing 10 bent 180')).toMatch(/70 in do not go into it/);
	});
	test('bands against circles: half circles 2 in thick nest flat when each is π · 2 in longer', () => {
		const flat = nestingOf(pieceOf('4 260 red 20 growing 6.3 bent 180'))!;
		expect([flat.flat, (flat.steps[0]!.needs / IN).toFixed(3)]).toEqual([true, (2 * Math.PI).toFixed(3)]);
		// Radii of half circles of those lengths lie at least a band apart.
		const radius = (i: number) => (20 + 6.3 * i) / Math.PI;
		expect(radius(1) - radius(0)).toBeGreaterThanOrEqual(2);
		const fanned = nestingOf(pieceOf('4 260 red 20 growing 3 bent 180'))!;
		expect(fanned.flat).toBe(false);
		expect(fanned.steps[0]!.short / IN).toBeCloseTo(2 * Math.PI - 3, 6);
		expect(nestingOf(pieceOf('4 260 red 20'))).toBeUndefined();
	});
	test('widths: as wide as the bag says until it is said', () => {
		expect(bubbleWords(pieceOf('2 260 red 7 + 6'))).toBe('7 + 6 in');
		expect(bubbleWords(pieceOf('2 260 at 1½ red 12'))).toBe('12 in, 1½ wide');
		expect(says('2 260 at 3 red 12')).toMatch(/cannot be sized to 3/);
	});
});

describe('what is drawn', () => {
	const piece = (more: Partial<FormPiece>): FormPiece => ({
		id: 'p', name: 'p', model: '260', slot: 's', count: 1, take: { kind: 'whole' }, bubbles: [inches(20)], size: UNKNOWN_SIZE,
		shaping: 'plain', angle: 0, grows: 0, strands: 1, softened: false, neckOff: false, at: null, ...more
	}); // prettier-ignore
	const nowhere = { rows: new Map(), places: new Map(), balls: [], items: new Set<string>() };
	test('every bubble is as long as it was said, plain or bent (property)', () => {
		const bubbles = fc.array(fc.integer({ min: 2, max: 12 }), { minLength: 1, maxLength: 4 });
		fc.assert(
			fc.property(bubbles, fc.constantFrom(...MODELS), (lengths, model) => {
				const { strands } = placeForm({ kind: 'form', pieces: [piece({ model, bubbles: lengths.map((n) => inches(n)) })] }, nowhere); // prettier-ignore
				expect(strands).toHaveLength(lengths.length);
				strands.forEach((s, i) => expect(long(s.path) / IN / lengths[i]!).toBeCloseTo(1, 1));
				expect(strands[0]!.d).toBeCloseTo(MODEL_SIZE[model].width / 1000, 9);
			})
		);
	});
	test.each(SHAPINGS)(
		'%s: its way is as long as the balloon, within 4 %, and no point is lost',
		(shaping) => {
			const angle = shaping === 'bent' ? 180 : 0;
			const { strands } = placeForm({ kind: 'form', pieces: [piece({ shaping, angle })] }, nowhere);
			expect(Math.abs(long(strands[0]!.path) / (20 * IN) - 1)).toBeLessThan(0.04);
			for (const { x, y, z } of strands[0]!.path) expect([x, y, z].every(Number.isFinite)).toBe(true);
		}
	);
	test('bands stand on the floor about one middle; those that nest lie in one plane', () => {
		const four = piece({ shaping: 'bent', angle: 180, count: 4, grows: inches(6.5) });
		const { strands } = placeForm({ kind: 'form', pieces: [four] }, nowhere);
		expect(strands).toHaveLength(4);
		for (const { path } of strands) {
			expect(path[0]!.z).toBeCloseTo(0, 6);
			expect(path.every((p) => Math.abs(p.y) < 1e-6)).toBe(true);
		}
		const fanned = placeForm({ kind: 'form', pieces: [{ ...four, grows: inches(2) }] }, nowhere);
		expect(Math.max(...fanned.strands[0]!.path.map((p) => Math.abs(p.y)))).toBeGreaterThan(20);
	});
	test('legs leave their row outwards; a host that is gone is said', () => {
		const bee = made('4 11 at 9 white x2', 'form legs on column', '6 260 red 20 as leg on row 1 round');
		const [group] = assemble(bee, null, () => undefined).applied;
		for (const { path } of group!.strands) {
			const [from, to] = [path[0]!, path.at(-1)!].map((p) => Math.hypot(p.x, p.y));
			expect(to!).toBeGreaterThan(from!);
		}
		const gone = { ...bee, sections: bee.sections.map((s) => (s.structure.kind === 'stack' ? { ...s, structure: { ...s.structure, layers: [] } } : s)) }; // prettier-ignore
		expect(assemble(gone, null, () => undefined).lost).toHaveLength(1);
		expect(tally(gone, null, 1, context).findings.map((f) => f.code)).toContain('host-lost');
	});
	test('tentacles hang from what floats', () => {
		const jelly = made('bunch jelly', '1 24 at 22 white in helium on 6 ft ribbon as bell', 'form t on jelly', '6 260 red 40 trained as tentacle on bell'); // prettier-ignore
		const groups = assemble(jelly, null, () => undefined).applied;
		const [bell] = groups[0]!.balls.map((b) => b.ball);
		for (const { path } of groups[1]!.strands) {
			expect(path[0]!.z).toBeLessThan(bell!.z);
			expect(path.at(-1)!.z).toBeLessThan(path[0]!.z - 30 * IN);
		}
	});
	test('it is one valid document', () => {
		const recipe = made(
			'form f',
			'6 260 red 40 wound',
			'4 260 white tie',
			'3 260 gold 12 growing 4 bent 90 as band'
		);
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(recipe))).success).toBe(true);
	});
});

describe('what is refused, in words', () => {
	test.each([
		['6 11 at 9 white', /Which modelling balloon\? Type 160, 260/],
		['6 260', /which colour/],
		['0 260 red 12', /whole number from 1 to 200/],
		['6 260 red ¼', /between ½ and 60 in/],
		['6 260 red 12 cut in 1', /from 2 to 24/],
		['6 260 red 12 bent 400', /between 1 and 360/i],
		['6 260 red 12 growing', /How much longer/],
		['6 260 red 12 9 together', /Between 1 and 6/],
		['6 260 red 10 + 10 growing 2', /one bubble grow/],
		['6 260 red 12 tie', /left uninflated/],
		['6 260 red 12 on row 3', /no row to put it on|has 0 rows/]
	])('%s', (line, say) => expect(says(line)).toMatch(say));
});

describe('a set of bands', () => {
	const bent = pieceOf('5 260 red 12 bent 180');
	test('is two bent balloons or more, with something in them and an angle', () => {
		expect(nestingOf(bent)).toBeDefined();
		expect(nestingOf({ ...bent, count: 2 })).toBeDefined();
		for (const other of [{ count: 1 }, { bubbles: [] }, { angle: 0 }, { shaping: 'wound' as const }])
			expect([other, nestingOf({ ...bent, ...other })]).toEqual([other, undefined]);
	});
});

test('a coil is as long as its balloon whichever way its axis goes', () => {
	const recipe = made('4 11 at 9 white', 'form curls on column', '8 260 red 48 wound as curl on column row 1 round'); // prettier-ignore
	const { applied } = assemble(recipe, null, () => undefined);
	const strands = applied.flatMap((g) => g.strands);
	expect(strands).toHaveLength(8);
	const lengths = strands.map(({ path }) =>
		path.slice(1).reduce((a, p, i) => a + Math.hypot(p.x - path[i]!.x, p.y - path[i]!.y, p.z - path[i]!.z), 0)
	);
	// Eight ways round the column: the coils are the same but for where they point.
	for (const length of lengths) expect(length / lengths[0]!).toBeCloseTo(1, 3);
	expect(lengths[0]! / (48 * IN)).toBeGreaterThan(0.8);
});
