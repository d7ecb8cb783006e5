import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { placeStack } from '../structures/stack/place.ts';
import { tally } from '../tally/tally.ts';
import { inches, MICROMETRES } from '../units/length.ts';
import { printLayer } from '../structures/stack/print.ts';
import { stackIn, stacksIn } from '../structures/stack/edit.ts';
import { type RecipeDraft } from './draft.ts';
import { recipeSchema } from './recipe.schema.ts';
import { copiesOf } from './copies.ts';
import type { Recipe, SizeOption } from './recipe.ts';
import { asKind } from '../structures/kinds.ts';
import { omittingSlots } from './omit-slots.ts';
import { resolve } from './resolve.ts';
import { bagFor } from '../structures/kit/scale.ts';
import { scaleBy } from './scale.ts';
import { exchange, swappables } from './swap.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const rows = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => printLayer(l, recipe.slots));
const changed = (recipe: Recipe, work: (d: RecipeDraft) => void): Recipe => {
	const draft = structuredClone(recipe) as RecipeDraft;
	work(draft);
	return draft as Recipe;
};
/** The recipe with the slots of these names left out of its colourway. */
const without = (recipe: Recipe, ...names: string[]): Recipe => {
	const out = changed(recipe, (d) => {
		d.colourways[0]!.without = d.slots.filter((s) => names.includes(s.name)).map((s) => s.id);
	});
	return resolve(out, { colourway: null, size: null }).recipe;
};
const sized = (recipe: Recipe, size: Partial<SizeOption>): Recipe =>
	changed(recipe, (d) =>
		d.sizes.push({ id: 's', name: 's', height: null, by: 'scale', swaps: {}, parts: {}, ...size })
	);

describe('a slot left out', () => {
	const column = design(
		'column',
		'4 16 at 13 grey',
		'4 11 at 9 white x2',
		'4 11 at 9 gold',
		'1 11 at 10 white'
	);
	test('takes its rows along, and what stood on them comes down', () => {
		const less = without(column, 'white');
		expect(rows(less)).toEqual(['4 × 16 at 13 grey', '4 × 11 at 9 gold']);
		const tops = (r: Recipe) => placeStack(stackIn(r)!).layers.map((l) => l.z);
		const straight = design('straight', '4 16 at 13 grey', '4 11 at 9 gold');
		expect(tops(less)).toEqual(tops(straight));
	});
	test.each([
		['rings', '4 11 at 9 rings white / gold / red x5', 'gold', '4 × 11 at 9 rings white / red ×3'],
		['blocks', '4 11 at 9 blocks 2 white / 1 gold x7', 'gold', '4 × 11 at 9 blocks 2 white ×5'],
		[
			'spiral',
			'4 11 at 9 spiral left white / gold / red x5',
			'red',
			'4 × 11 at 9 spiral left white / gold ×5'
		],
		['a list', '4 11 at 9 white / gold', 'gold', '2 × 11 at 9 white'],
		['a place of its own', '3 11 at 9 white with 1 11 at 7 gold', 'gold', '3 × 11 at 9 white'],
		['one cluster of two', '4 11 at 9 white + 2 5 at 4 red front', 'red', '4 × 11 at 9 white']
	])('%s closes up', (_, line, out, left) => expect(rows(without(design('d', line), out))).toEqual([left]));
	test('what sat on its row goes too, and what sat on that', () => {
		const face = design(
			'face',
			'4 11 at 9 white',
			'4 11 at 9 gold',
			'put 2 5 at 4 red as eyes on row 2 front'
		);
		const [eyes] = without(face, 'gold').sections.filter((s) => s.structure.kind === 'applied');
		expect(eyes!.structure).toMatchObject({ pieces: [] });
		expect(tally(without(face, 'gold'), null, 1, context).bill.balloons).toBe(4);
	});
	test('nothing left out is the design itself; the outcome is kept', () => {
		expect(resolve(column, { colourway: null, size: null }).recipe).toBe(column);
		const out = changed(column, (d) => (d.colourways[0]!.without = [d.slots[0]!.id]));
		expect(resolve(out, { colourway: null, size: null })).toBe(resolve(out, { colourway: null, size: null }));
	});
	test('never more balloons, never a slot that is out (any pattern, any slots)', () => {
		const pattern = fc.constantFrom('white', 'white / gold', 'spiral left white / gold / red', 'checker red / gold', 'rings gold / white / red', 'blocks 2 red / 3 gold'); // prettier-ignore
		const line = fc.tuple(fc.integer({ min: 1, max: 8 }), pattern, fc.integer({ min: 1, max: 9 }));
		const names = fc.subarray(['white', 'gold', 'red']);
		fc.assert(
			fc.property(fc.array(line, { minLength: 1, maxLength: 4 }), names, (lines, out) => {
				const whole = design('any', ...lines.map(([n, p, x]) => `${n} 11 at 9 ${p} x${x}`));
				const less = without(whole, ...out);
				const gone = whole.slots.filter((s) => out.includes(s.name)).map((s) => s.id);
				const counted = tally(less, null, 1, context);
				expect(counted.bill.balloons).toBeLessThanOrEqual(tally(whole, null, 1, context).bill.balloons);
				for (const need of counted.bill.inflate) expect(out).not.toContain(need.slot);
				expect(JSON.stringify(less.sections)).not.toMatch(
					new RegExp(gone.map((g) => `"slot":"${g}"`).join('|') || '^$')
				);
			})
		);
	});
});

describe('a design in another size', () => {
	const two = design('two', '4 11 at 10 white x2');
	test('scaled by 1.2 every coordinate is 1.2 times as far: worked by hand for two quads of elevens at 10', () => {
		// R = d/√2; first centres at d/2; the second ring rises 0.8 · d · √(1 − ¼ sec²(π/8)) = 0.8 · 0.8409 d.
		const d = 12;
		const { layers } = placeStack(stackIn(scaleBy(two, 1.2).recipe)!);
		const [first, second] = layers.map((l) =>
			l.rings[0]!.map((b) => ({ r: Math.hypot(b.x, b.y) / 25.4, z: b.z / 25.4 }))
		);
		for (const ball of first!) {
			expect(ball.r).toBeCloseTo(8.4853, 3);
			expect(ball.z).toBeCloseTo(6, 6);
		}
		for (const ball of second!) {
			expect(ball.r).toBeCloseTo(d / Math.SQRT2, 6);
			expect(ball.z).toBeCloseTo(6 + 0.8 * d * Math.sqrt(1 - 0.25 / Math.cos(Math.PI / 8) ** 2), 6);
			expect(ball.z).toBeCloseTo(14.0726, 3);
		}
	});
	test('a size the bag cannot be inflated to moves to the next bag, and says so', () => {
		const { recipe, notes } = scaleBy(two, 1.2);
		expect(rows(recipe)).toEqual(['4 × 12 at 12 white ×2']);
		expect(notes).toEqual(['The 11 in balloons move to 12 in bags.']);
		expect(scaleBy(two, 0.4)).toMatchObject({ notes: ['The 11 in balloons move to 5 in bags.'] });
		expect(rows(scaleBy(two, 1.05).recipe)).toEqual(['4 × 11 at 10½ white ×2']);
		expect(scaleBy(design('huge', '4 36 at 34 white'), 2).notes[0]).toMatch(/No round comes larger than 36/);
	});
	test('the bag fits whatever the size: from half its nominal to all of it, while there is one', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 2.6, max: 36, noNaN: true }),
				fc.double({ min: 0.5, max: 1, noNaN: true }),
				(size, fill) => {
					const bag = bagFor(inches(size), inches(5), fill);
					expect(inches(size)).toBeLessThanOrEqual(bag);
					expect(inches(size)).toBeGreaterThanOrEqual(bag / 2);
				}
			)
		);
	});
	test('by layers it comes as near as whole layers allow; by scale to the height within an eighth a balloon', () => {
		const column = design('column', '4 16 at 13 grey', '4 11 at 9 white x6', 'pole 6 ft');
		const body = (by: SizeOption['by'], feet: number) => {
			const { recipe } = resolve(sized(column, { height: inches(12 * feet), by }), {
				colourway: null,
				size: 's'
			});
			return { feet: placeStack(stackIn(recipe)!).body.usual / 304.8, recipe };
		};
		expect(Math.abs(body('layers', 6).feet - 6)).toBeLessThan(0.3);
		expect(rows(body('layers', 6).recipe)[0]).toBe('4 × 16 at 13 grey');
		for (const feet of [2.5, 3, 4.5, 6]) expect(Math.abs(body('scale', feet).feet - feet)).toBeLessThan(0.06);
		expect(stackIn(body('scale', 6).recipe)!.upright.length).toBeGreaterThan(6 * MICROMETRES.ft);
	});
	test('each size has its own count, cost and time', () => {
		const option = sized(design('c', '4 11 at 9 white x6'), { height: inches(90), by: 'layers' });
		const [plain, tall] = [null, 's'].map((size) => tally(option, null, 1, context, size));
		expect(tall!.bill.balloons).toBeGreaterThan(plain!.bill.balloons);
		expect(tall!.cost.total.known.minor).toBeGreaterThan(plain!.cost.total.known.minor);
		expect(tall!.cost.seconds.compare(plain!.cost.seconds)).toBe(1);
	});
	test('strokes go with the air: the cube of the diameter', () => {
		const pumped = scaleBy(design('p', '4 5 at 4 strokes white'), 9 / 5).recipe;
		expect(rows(pumped)).toEqual([`4 × 9 at ${Math.round(4 * (9 / 5) ** 3 * 2) / 2} strokes white`]);
	});
});

describe('what may be swapped', () => {
	const lit = design('lit', '4 11 at 9 white', '2 fairy lights swappable');
	test('is exchanged in one step, everything else as it was', () => {
		const [element] = swappables(lit, () => 'lights');
		expect(element).toMatchObject({ what: 'material', now: 'fairy lights' });
		const other = exchange(lit, element!.element, 'patch');
		expect(swappables(other, () => '')[0]!.now).toBe('patch');
		expect(stacksIn(other)).toEqual(stacksIn(lit));
		expect(exchange(lit, 'nobody', 'patch')).toEqual(lit);
	});
	test('a size may bring its own', () => {
		const [element] = swappables(lit, () => '');
		const option = sized(lit, { swaps: { [element!.element]: 'patch' } });
		const labels = tally(option, null, 1, context, 's').bill.lines.map((l) => l.label);
		expect(labels).toContain('patch');
		expect(labels).not.toContain('fairy lights');
	});
});

test('recipes of version 2 are read as the newest, with every balloon they had', () => {
	const stored = JSON.parse(readFileSync('tests/recipes/version-2.json', 'utf8')) as { version: number }[];
	expect(stored.map((r) => r.version)).toEqual([2, 2]);
	const [octopus, gate] = stored.map((r) => recipeSchema.parse(r));
	expect(octopus).toMatchObject({ version: 6, sizes: [], credit: '', steps: [] });
	const places = octopus!.sections.map((s) =>
		s.structure.kind === 'stack'
			? copiesOf(octopus!, s) *
				s.structure.layers.reduce((a, l) => a + l.repeat * l.clusters.flatMap((c) => c.places).length, 0)
			: 0
	);
	// Counted by hand from its lines: 8 + 6 + 5 + 1 in the body, 3 in each of two arms, 2 in each of two fore arms.
	expect(places).toEqual([20, 6, 4]);
	expect(gate!.sections[0]!.structure).toMatchObject({ kind: 'design', size: null, version: null });
	expect(recipeSchema.safeParse({ ...stored[0], sections: 'none' }).success).toBe(false);
	// What version 5 said, version 6 says in the same words.
	expect(recipeSchema.parse({ ...octopus, version: 5 })).toEqual(octopus);
});

test('what stands at a row that a colour takes away stands at the foot; at another row it stays', () => {
	const recipe = design(
		'c',
		'4 11 at 9 white',
		'4 11 at 9 red',
		'section arm left of column at row 2',
		'4 5 at 4 gold'
	);
	const slot = (name: string) => recipe.slots.find((s) => s.name === name)!.id;
	const [column, arm] = recipe.sections;
	const second = asKind(column!.structure, 'stack')!.layers[1]!.id;
	expect(arm!.stand.layer).toBe(second);
	const standOf = (out: string) => omittingSlots(recipe, new Set([slot(out)])).sections[1]!.stand;
	expect(standOf('red')).toEqual({ ...arm!.stand, layer: null });
	expect(standOf('white')).toEqual(arm!.stand);
	// What was gone before is left as it is: the checker speaks of it.
	const lost = { ...recipe, sections: [column!, { ...arm!, stand: { ...arm!.stand, layer: 'gone' } }] };
	expect(omittingSlots(lost, new Set([slot('red')])).sections[1]!.stand.layer).toBe('gone');
});
