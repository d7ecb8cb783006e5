import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, entryContext, floating, rates } from '../../../../../tests/kit/studio.ts';
import { assemble } from '../../assembly/assemble.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { parseEntry } from '../../language/read.ts';
import { printLines } from '../../language/print.ts';
import { resolve } from '../../recipe/resolve.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { tally } from '../../tally/tally.ts';
import { wayLength } from '../kit/strand.ts';
import { beltLength } from './course.ts';
import { lengthOf } from './count.ts';
import { changeLimb, lengthenLimb, seatLimb, shapeLimb, tieLimb } from './edit.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Form, FormPiece } from './document.ts';

const IN = 25.4;
const context = { catalogue: catalogue(floating, colours), rates, library: () => undefined };
const made = (...lines: string[]): Recipe => designOf(floating, 'figure', lines);
const built = (recipe: Recipe) => resolve(recipe, { colourway: null, size: null }, rates.pumps).recipe;
const formIn = ({ sections }: Recipe): Form =>
	sections.map((s) => s.structure).find((s) => s.kind === 'form')!;
const piece = (...lines: string[]): FormPiece => formIn(built(made(...lines))).pieces.at(-1)!;
const strands = (recipe: Recipe, name: string) => {
	const { id } = formIn(recipe).pieces.find((p) => p.name === name)!;
	return assemble(recipe, null, () => undefined, rates.pumps)
		.applied.flatMap((a) => a.strands)
		.filter((s) => s.piece === id);
};
const used = (recipe: Recipe) =>
	tally(recipe, null, 1, context).bill.lines.filter((l) => l.label.includes('260')).map((l) => [l.label.split(', ')[1], l.used.valueOf()]); // prettier-ignore
const codes = (recipe: Recipe) => tally(recipe, null, 1, context).findings.map((f) => f.code);
const says = (line: string, ...before: string[]) => {
	const recipe = made(...before);
	const parsed = parseEntry(line, {
		...entryContext(recipe),
		materials: floating,
		section: recipe.sections.at(-1)!.id
	});
	return parsed.ok ? 'understood' : parsed.say;
};
const ROWS = ['4 11 at 9 white', '4 11 at 9 white', '4 11 at 9 white'];
const COLUMN = [...ROWS, 'form f on column'];

describe('belts', () => {
	test.each([2, 3, 4, 5, 6])(
		'round %i balloons of 9 in: 2 n R sin(π/n) + π d (the hull of equal circles in a ring)',
		(n) => {
			const [d, radius] = [9 * IN, (9 * IN) / (2 * Math.sin(Math.PI / n))];
			const hull = 2 * n * radius * Math.sin(Math.PI / n) + Math.PI * d;
			const belt = piece(`${n} 11 at 9 white`, 'form f', '1 260 red belt on row 1 round');
			expect(belt.fits).toBe(true);
			expect(Math.abs(lengthOf(belt) / hull - 1)).toBeLessThan(0.003);
		}
	);
	test('a half of it is half as long; it follows its row when that is made larger, and is joined where one is too short', () => {
		const whole = piece('4 11 at 9 white', 'form f', '1 260 red belt on row 1 round');
		const half = piece('4 11 at 9 white', 'form f', '1 260 red belt on row 1 front');
		expect(lengthOf(half) / lengthOf(whole)).toBeCloseTo(0.5, 2);
		expect(used(made('4 11 at 9 white', 'form f', '1 260 red belt on row 1 round'))).toEqual([
			['buoy red', 2]
		]);
		expect(used(made('4 5 at 4 white', 'form f', '1 260 red belt on row 1 round'))).toEqual([
			['buoy red', 1]
		]);
	});
	test('it lies outside its row at the height of it, all the way', () => {
		const recipe = made(...COLUMN, '1 260 red belt as sash on row 2 round');
		const [belt] = strands(recipe, 'sash');
		const balls = assemble(recipe, null, () => undefined, rates.pumps).pieces[0]!.placed.rings[1]!;
		expect(balls).toBeDefined();
		const zs = belt!.path.map((p) => p.z);
		expect(Math.max(...zs) - Math.min(...zs)).toBeLessThan(1);
		for (const p of belt!.path) expect(Math.hypot(p.x, p.y)).toBeGreaterThan(9 * IN * 0.9);
	});
	test('property: any ring of any sizes has a belt at least as long as the largest circle and no shorter than each half', () => {
		const ball = fc.record({
			x: fc.integer({ min: -300, max: 300 }),
			y: fc.integer({ min: -300, max: 300 }),
			z: fc.constant(0),
			d: fc.integer({ min: 30, max: 400 })
		});
		fc.assert(
			fc.property(fc.array(ball, { minLength: 1, maxLength: 8 }), (ring) => {
				const all = beltLength(ring, 'all');
				expect(all).toBeGreaterThan(0.99 * Math.PI * Math.max(...ring.map((b) => b.d)));
				for (const side of ['front', 'back', 'left', 'right'] as const)
					expect(beltLength(ring, side)).toBeLessThanOrEqual(all + 1e-6);
			})
		);
	});
	test('on a wall there is nothing to go round', () => {
		expect(says('1 260 red belt', ...COLUMN)).toContain('What does the belt go round?');
		expect(says('1 260 red belt on wall at 5 ft', ...COLUMN)).toContain('What does the belt go round?');
	});
});

describe('tied at both ends', () => {
	const BETWEEN = [...COLUMN, '1 260 red as band on row 1 left to row 3 right'];
	test('as long as the straight way between its hosts, and both its ends are on them', () => {
		const recipe = made(...BETWEEN);
		const [band] = strands(recipe, 'band');
		const [from, to] = [band!.path[0]!, band!.path.at(-1)!];
		expect(wayLength(band!.path)).toBeCloseTo(Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z), 3);
		expect(Math.abs(lengthOf(formIn(built(recipe)).pieces[0]!) - wayLength(band!.path))).toBeLessThan(2);
		expect(Math.sign(from.x)).toBe(-1);
		expect(Math.sign(to.x)).toBe(1);
	});
	test('longer it hangs in a bow, much longer or too short is said', () => {
		const long = made(...COLUMN, '1 260 red 40 as band on row 1 left to row 1 right');
		const [band] = strands(long, 'band');
		expect(Math.min(...band!.path.map((p) => p.z))).toBeLessThan(band!.path[0]!.z);
		expect(codes(long)).toContain('off-its-way');
		expect(codes(made(...COLUMN, '1 260 red 8 as band on row 1 left to row 3 right'))).toContain(
			'off-its-way'
		);
		expect(codes(made(...BETWEEN))).not.toContain('off-its-way');
	});
	test('two ends are two knots', () => {
		const fixed = (line: string) =>
			tally(made(...COLUMN, line), null, 1, context).tasks.find((t) => t.task === 'fix')?.count;
		expect(fixed('1 260 red 20 on row 1 left')).toBe(1);
		expect(fixed('1 260 red on row 1 left to row 3 right')).toBe(2);
	});
});

describe('wound round, drawn over, folded', () => {
	test('wound round the column so often: as long as its helix, and outside the balloons', () => {
		const hose = (turns: number) => made(...COLUMN, `1 260 red twined ${turns} as hose on row 1 front`);
		const lengths = [1, 2, 4].map((t) => lengthOf(formIn(built(hose(t))).pieces[0]!));
		expect(lengths[0]).toBeLessThan(lengths[1]!);
		expect(lengths[1]).toBeLessThan(lengths[2]!);
		const [path] = strands(hose(2), 'hose');
		expect(path!.path.at(-1)!.z).toBeGreaterThan(path!.path[0]!.z);
		for (const p of path!.path.slice(0, -20)) expect(Math.hypot(p.x, p.y)).toBeGreaterThan(4 * IN);
	});
	test('round a straight limb: the helix of its radius (length by the theorem of Pythagoras on the unrolled cylinder)', () => {
		const coil = piece('form f', '1 360 white 40 as mast', '1 160 red twined 5 as stripe on mast');
		// A mast of 3 in and half of the stripe's inch on each side: radius 2 in; it climbs 40 in in five turns.
		const unrolled = Math.hypot(5 * 2 * Math.PI * 2, 40);
		expect(Math.abs(lengthOf(coil) / IN / unrolled - 1)).toBeLessThan(0.01);
	});
	test('a sleeve is as long as what it covers; folded it reaches half as far', () => {
		expect(lengthOf(piece('form f', '1 360 white 40 as mast', '1 260 red sleeve on mast')) / IN).toBeCloseTo(
			40,
			0
		);
		const far = (line: string) =>
			Math.max(...strands(made(...COLUMN, line), 'arm')[0]!.path.map((p) => Math.abs(p.x)));
		expect(far('1 260 red 40 folded as arm on row 2 right')).toBeLessThan(
			far('1 260 red 40 as arm on row 2 right')
		);
	});
});

describe('colours, series, ends', () => {
	test('several colours in one: strands in turn; several pieces: piece by piece', () => {
		expect(used(made('form f', '2 260 red / white 20 2 together'))).toEqual([
			['buoy red', 2],
			['gull white', 2]
		]);
		expect(used(made('form f', '3 260 red / white 20'))).toEqual([
			['buoy red', 2],
			['gull white', 1]
		]);
	});
	test('a series says each length; trimmed ends are thrown away and are nobody’s scrap', () => {
		const series = piece('form f', '3 260 red 8, 10, 12');
		expect([0, 1, 2].map((i) => Math.round(lengthOf(series, i) / IN))).toEqual([8, 10, 12]);
		expect(used(made('form f', '4 260 red 12 trimmed', '3 260 red scrap'))[0]![1]).toBe(4);
		expect(says('2 260 red 8, 70', 'form f')).toMatch(/between ½ and 60 in/);
		expect(says('2 260 red 8 + 4, 6', 'form f')).toContain('pieces of one bubble each');
	});
	test('what is left empty, and bubbles alike', () => {
		expect(lengthOf(piece('form f', '1 260 red leaving 4')) / IN).toBeCloseTo(56, 6);
		expect(piece('form f', '1 260 red 24 in 6 bubbles').bubbles).toHaveLength(6);
	});
	test('without one of its colours the others are left', () => {
		const recipe = made('form f', '4 260 red / white 20');
		const white = recipe.slots.find((s) => s.name === 'white')!.id;
		const [way] = recipe.colourways;
		const without = { ...recipe, colourways: [{ ...way!, without: [white] }] };
		expect(used(without)).toEqual([['buoy red', 4]]);
	});
});

describe('by hand', () => {
	const limb = (recipe: Recipe) => formIn(recipe).pieces[0]!;
	const changed = (recipe: Recipe, work: (draft: RecipeDraft, id: string) => void) => {
		const draft = structuredClone(recipe) as RecipeDraft;
		work(draft, limb(recipe).id);
		return draft as Recipe;
	};
	const printedOf = (recipe: Recipe) =>
		printLines(recipe.sections.find((s) => s.structure.kind === 'form')!, recipe, (id) => floating.find((m) => m.id === id)).map((l) => l.text); // prettier-ignore
	const over = made(...COLUMN, '1 260 red as band on row 1 left to row 3 right');
	test('another shape lets its other end go, and what no row carries is no belt: what it says can be read back', () => {
		const wound = changed(over, (d, id) => changeLimb(d, id, (p) => shapeLimb(p, 'twined')));
		expect(limb(wound)).toMatchObject({ shaping: 'twined', fits: true });
		expect(limb(wound).to).toBeUndefined();
		const belt = made(...COLUMN, '1 260 red belt as sash on row 2 round');
		const free = changed(belt, (d, id) => seatLimb(d, id, null, null));
		expect(limb(free)).toMatchObject({ shaping: 'plain', at: null });
		for (const recipe of [wound, free]) {
			expect(recipeSchema.safeParse(recipe).error?.issues ?? []).toEqual([]);
			for (const line of printedOf(recipe)) expect(says(line, ...COLUMN)).toBe('understood');
		}
	});
	test('a length that does not go in is said, and changes nothing', () => {
		const draft = structuredClone(over) as RecipeDraft;
		let say = '';
		changeLimb(draft, limb(over).id, (p) => (say = lengthenLimb(p, '40 + 40')));
		expect(say).toContain('do not go into it');
		expect(draft).toEqual(over);
	});
});

describe('on what sits on something', () => {
	test('feelers on a head that sits on the column; gloves at the ends of arms, each on one, wherever those are', () => {
		const recipe = made(
			...ROWS,
			'put 1 11 at 9 white as head on row 3 front',
			'form f on column',
			'2 260 red 10 as feelers on head up',
			'2 260 red 20 as arms on row 2 round',
			'put 2 5 at 4 white as gloves on arms'
		);
		expect(recipeSchema.safeParse(recipe).error?.issues ?? []).toEqual([]);
		const assembly = assemble(recipe, null, () => undefined, rates.pumps);
		expect(assembly.lost).toEqual([]);
		const arms = strands(recipe, 'arms');
		const pieces = recipe.sections.flatMap((s) => (s.structure.kind === 'applied' ? s.structure.pieces : []));
		const glove = pieces.find((p) => p.name === 'gloves')!.id;
		const gloves = assembly.applied.flatMap((a) => a.balls).filter((b) => b.piece === glove);
		expect(gloves).toHaveLength(2);
		for (const [i, { ball }] of gloves.entries()) {
			const end = arms[i]!.path.at(-1)!;
			expect(Math.hypot(ball.x - end.x, ball.y - end.y, ball.z - end.z)).toBeLessThan(4 * IN);
		}
	});
	test('so far along a limb', () => {
		const recipe = made('form f', '1 260 red 40 as mast', 'put 1 5 at 3 white as lamp on mast at 20 in');
		const lamp = assemble(recipe, null, () => undefined, rates.pumps).applied.flatMap((a) => a.balls)[0]!;
		expect(Math.abs(lamp.ball.z / IN - 20)).toBeLessThan(0.5);
	});
	test('property: whatever is said of a limb is printed and read back', () => {
		const words = {
			colours: fc.constantFrom('red', 'white', 'red / white'),
			long: fc.constantFrom('', '12', '7 + 6', '8, 10', 'leaving 4'),
			tail: fc.constantFrom(
				'',
				'trimmed',
				'part used',
				'folded',
				'belt',
				'twined 3',
				'sleeve',
				'wound',
				'2 together'
			),
			host: fc.constantFrom(
				'on row 1 left',
				'on row 2 round',
				'on row 1 left to row 3 right',
				'on row 3 place 2 up',
				'on post at 10 in'
			)
		};
		fc.assert(
			fc.property(fc.record(words), ({ colours: c, long, tail, host }) => {
				const line = `2 260 ${c} ${long} ${tail} as limb ${host}`;
				const before = [...COLUMN, '1 360 white 20 as post on row 1 front'];
				if (says(line, ...before) !== 'understood') return;
				const recipe = made(...before, line);
				const section = recipe.sections.find((x) => x.structure.kind === 'form')!;
				const printed = printLines(section, recipe, (id) => floating.find((m) => m.id === id)).map(
					(l) => l.text
				);
				const again = made(...COLUMN, ...printed);
				const plain = (r: Recipe) =>
					formIn(built(r)).pieces.map(
						({ name, count, bubbles, each, fits, take, shaping, angle, strands }) => ({
							name,
							count,
							bubbles,
							each,
							fits,
							take,
							shaping,
							angle,
							strands
						})
					);
				expect(plain(again)).toEqual(plain(recipe));
				expect(used(again)).toEqual(used(recipe));
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a limb from one section over to another', () => {
	const BUOY = ['4 5 at 4 white', '4 5 at 4 white', '4 5 at 4 white'];
	const COLUMN = ['4 11 at 9 white', '4 11 at 9 white'];
	const TWO = [...COLUMN, 'section buoy left of column gap 1 ft', ...BUOY, 'form hoses on column'];
	const ends = (...lines: string[]) => {
		const recipe = made(...TWO, ...lines);
		const { path } = strands(recipe, 'hose')[0]!;
		const all = assemble(recipe, null, () => undefined);
		return { recipe, lost: all.lost, from: path[0]!, to: path.at(-1)!, all };
	};
	test('ends at the row of the other, wherever that stands', () => {
		const { lost, from, to } = ends('1 260 red 40 as hose on column row 2 left to buoy row 3 front');
		expect(lost).toEqual([]);
		expect(Math.abs(from.x)).toBeLessThan(14 * IN);
		expect(to.x).toBeLessThan(from.x - 8 * IN);
		const right = made(
			...COLUMN,
			'section buoy right of column gap 2 ft',
			...BUOY,
			'form hoses on column',
			'1 260 red 50 as hose on column row 2 left to buoy row 3 front'
		);
		const path = strands(right, 'hose')[0]!.path; // prettier-ignore
		expect(path.at(-1)!.x).toBeGreaterThan(path[0]!.x + 8 * IN);
	});
	test('its end lies against the balloons of that row (property over gaps)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 6, max: 40 }),
				fc.constantFrom('left', 'right', 'front', 'back'),
				(gap, side) => {
					const recipe = made(...COLUMN, `section buoy ${side === 'front' ? 'front' : side} of column gap ${gap} in`, ...BUOY, 'form hoses on column', '1 260 red 55 as hose on column row 1 left to buoy row 1 front'); // prettier-ignore
					const end = strands(recipe, 'hose').at(-1)!.path.at(-1)!;
					const buoy = recipe.sections.find((s) => s.name === 'buoy')!.id;
					const all = assemble(recipe, null, () => undefined, rates.pumps);
					const balls = all.pieces.filter((p) => p.section === buoy).flatMap(({ placed, spots }) => placed.layers.flatMap(({ rings }) => rings.flat().map((b) => ({ x: b.x + spots[0]!.x, y: b.y + spots[0]!.y, z: b.z + spots[0]!.z, d: b.d })))); // prettier-ignore
					const near = Math.min(
						...balls.map((b) => Math.hypot(b.x - end.x, b.y - end.y, b.z - end.z) - b.d / 2)
					);
					expect(near).toBeLessThan(3 * IN);
				}
			),
			{ numRuns: 25 }
		);
	});
	test('without a length it is as long as the straight way between its ends, wherever those stand (property)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 6, max: 40 }),
				fc.constantFrom('left', 'right', 'front', 'back'),
				fc.integer({ min: 1, max: 3 }),
				(gap, side, row) => {
					const recipe = made(
						...COLUMN,
						`section buoy ${side} of column gap ${gap} in`,
						...BUOY,
						'form hoses on column',
						`1 260 red as hose on column row 1 ${side} to buoy row ${row} front`
					);
					const [limb] = formIn(built(recipe)).pieces;
					expect(limb!.fits).toBe(true);
					const long = lengthOf(limb!);
					const lie = strands(recipe, 'hose').map((s) => s.path);
					const [from, to] = [lie[0]![0]!, lie.at(-1)!.at(-1)!];
					const straight = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
					// Lengths are to an eighth of an inch.
					expect(Math.abs(long - straight)).toBeLessThan(IN / 8);
					expect(codes(recipe)).not.toContain('limb-length');
				}
			),
			{ numRuns: 25 }
		);
	});
	test('what is further away needs more: the bill follows the gap', () => {
		const far = (gap: string) => made(...COLUMN, `section buoy left of column gap ${gap}`, ...BUOY, 'form hoses on column', '1 260 red as hose on column row 2 left to buoy row 3 front'); // prettier-ignore
		const long = (gap: string) => lengthOf(formIn(built(far(gap))).pieces[0]!);
		expect(long('3 ft') - long('2 ft')).toBeGreaterThan(10 * IN);
		expect(used(far('6 ft'))[0]![1]).toBeGreaterThan(used(far('1 ft'))[0]![1] as number);
	});
	test('a length that was said and does not reach is found', () => {
		const short = made(...COLUMN, 'section buoy left of column gap 3 ft', ...BUOY, 'form hoses on column', '1 260 red 10 as hose on column row 2 left to buoy row 3 front'); // prettier-ignore
		const longer = made(...COLUMN, 'section buoy left of column gap 3 ft', ...BUOY, 'form hoses on column', '1 260 red as hose on column row 2 left to buoy row 3 front'); // prettier-ignore
		const new_ = codes(short).filter((c) => !codes(longer).includes(c));
		expect(new_).toHaveLength(1);
	});
	test('what is said is printed and read back', () => {
		const { recipe } = ends('1 260 red 40 as hose on column row 2 left to buoy row 3 front');
		const section = recipe.sections.at(-1)!;
		expect(
			printLines(section, recipe, () => undefined)
				.map((l) => l.text)
				.join()
		).toContain('to buoy row 3 front');
	});
	test('by hand its other end is tied to another section, and it is as long as the way there', () => {
		const recipe = made(...TWO, '1 260 red as hose on column row 2 left');
		const draft = structuredClone(recipe) as RecipeDraft;
		const buoy = recipe.sections.find((s) => s.name === 'buoy')!;
		const row = buoy.structure.kind === 'stack' ? buoy.structure.layers[2]! : undefined;
		const { id } = formIn(recipe).pieces[0]!;
		changeLimb(draft, id, (p) => tieLimb(p, { on: 'layer', layer: row!.id, side: 'front' }));
		const [limb] = formIn(draft as Recipe).pieces;
		expect(limb).toMatchObject({ to: { layer: row!.id }, fits: true });
		expect(lengthOf(formIn(built(draft as Recipe)).pieces[0]!)).toBeGreaterThan(6 * IN);
		expect(assemble(draft as Recipe, null, () => undefined).lost).toEqual([]);
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(draft))).success).toBe(true);
	});
});
