import { differenceCiede2000, modeLab65, useMode } from 'culori/fn';
import { describe, expect, test } from 'vitest';
import {
	colours,
	counter,
	design,
	designOf,
	floating,
	materials,
	rates
} from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { piecesIn } from '../structures/applied/edit.ts';
import { stackIn } from '../structures/stack/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import { printLayer } from '../structures/stack/print.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { applyRemedy, findLevelling } from './remedy.ts';
import { feet, inches } from '../units/length.ts';
import { findingKey, type Finding } from './finding.ts';
import { tally } from '../tally/tally.ts';

const chalk = { id: 'chalk', name: 'chalk white', finish: 'matte' as const, hex: '#f1efe9' };
const studio = catalogue(materials, [...colours, chalk]);
const look = (recipe: Recipe) =>
	tally(recipe, null, 1, { catalogue: studio, rates, library: () => undefined });
const pale = (recipe: Recipe, slot: string): Recipe => {
	const id = recipe.slots.find((s) => s.name === slot)!.id;
	const [first] = recipe.colourways;
	return { ...recipe, colourways: [{ ...first!, fills: { ...first!.fills, [id]: 'chalk' } }] };
};
const codes = (recipe: Recipe) => look(recipe).findings.map((f) => f.code);
const one = (recipe: Recipe, code: Finding['code']): Finding =>
	look(recipe).findings.find((f) => f.code === code)!;
const rows = (recipe: Recipe) => stackIn(recipe)!.layers.map((l) => printLayer(l, recipe.slots));
/** Does what the finding proposes, on a copy. */
function remedied(recipe: Recipe, code: Finding['code']): { recipe: Recipe; say: string | undefined } {
	const draft = structuredClone(recipe) as RecipeDraft;
	const say = applyRemedy(draft, one(recipe, code).remedy!.act, { newId: counter('r'), pumps: rates.pumps });
	expect(recipeSchema.safeParse(draft).error?.issues ?? []).toEqual([]);
	return { recipe: draft as Recipe, say };
}

describe('a step among layers that grow evenly (common practice: over 1½ in of three layers or more)', () => {
	const run = (...sizes: number[]) => design('run', ...sizes.map((s) => `4 11 at ${s} white`));
	test.each<[string, number[], boolean]>([
		['three that shrink by an inch', [10, 9, 8], false],
		['one jump of two', [10.5, 8.5, 8], true],
		['exactly one and a half', [10, 8.5, 8], false],
		['two rows are no run', [10.5, 8], false],
		['up again is no run', [8, 10.5, 8], false],
		['a run that grows', [6, 8, 8.5], true]
	])('%s', (_, sizes, said) => expect(codes(run(...sizes)).includes('size-step')).toBe(said));
	test('is said at the upper row, in inches, with its reason', () => {
		const recipe = run(10.5, 8.5, 8);
		const finding = one(recipe, 'size-step');
		expect(finding.layer).toBe(stackIn(recipe)!.layers[1]!.id);
		expect(finding.say).toContain('From 10½ to 8½ in is a step of 2 in');
		expect(finding.why).toContain('ledge');
	});
	test('another bag ends the run: a base of sixteens under elevens is no jump', () =>
		expect(codes(design('base', '4 16 at 13 grey', '4 11 at 10 white', '4 11 at 9 white'))).not.toContain(
			'size-step'
		));
});

describe('slots that look alike', () => {
	test('Sharma, Wu & Dalal 2005: two of their pairs (from memory), 2.0425 and 27.1492', () => {
		useMode(modeLab65);
		const difference = differenceCiede2000();
		const lab = (l: number, a: number, b: number) => ({ mode: 'lab65' as const, l, a, b });
		expect(difference(lab(50, 2.6772, -79.7751), lab(50, 0, -82.7485))).toBeCloseTo(2.0425, 4);
		expect(difference(lab(50, 2.5, 0), lab(73, 25, -18))).toBeCloseTo(27.1492, 4);
	});
	const column = design('column', '4 11 at 9 white', '4 11 at 9 white / gold', '4 11 at 9 red');
	test('a colour used in one row that nobody can tell from another is said, and goes by one key', () => {
		const recipe = pale(column, 'red');
		expect(one(recipe, 'slots-alike').say).toBe(
			'red: chalk white is used in one row and can hardly be told from gull white.'
		);
		const after = remedied(recipe, 'slots-alike').recipe;
		expect(rows(after)[2]).toBe('4 × 11 at 9 white');
		expect(after.slots.map((s) => s.name)).toEqual(['white', 'gold']);
		expect(codes(after)).not.toContain('slots-alike');
	});
	test('in whatever it is used: a bunch, a run and a weave count as rows do', () => {
		const both = (...lines: string[]) => pale(design('both', '4 11 at 9 white x2', '4 11 at 9 white', '4 11 at 9 red', ...lines), 'red'); // prettier-ignore
		expect(codes(both())).toContain('slots-alike');
		for (const lines of [
			['bunch tops', '3 11 at 9 red'],
			['weave wall', 'panel of 11 rounds at 9', 'row 8 red'],
			['run rope', 'line 8 ft', '4 11 at 9 red']
		])
			// prettier-ignore
			expect([lines, codes(both(...lines)).includes('slots-alike')]).toEqual([lines, false]);
	});
	test('colours well apart, or one used again, are not', () => {
		expect(codes(column)).not.toContain('slots-alike');
		const twice = design('twice', '4 11 at 9 white', '4 11 at 9 red', '4 11 at 8 red');
		expect(codes(pale(twice, 'red')).filter((c) => c === 'slots-alike')).toHaveLength(1); // white is the rare one now
	});
});

test('a layer is said to lean from four degrees on, and not before', () => {
	const seen = new Set<boolean>();
	for (let eighths = 48; eighths <= 72; eighths++) {
		const recipe = design('lean', `3 11 at 9 white with 1 11 at ${eighths / 8} gold`, '4 11 at 9 white');
		const { tilt } = look(recipe).stacks[0]!.placed.layers[0]!;
		const leans = codes(recipe).includes('tilted');
		expect([eighths, leans]).toEqual([eighths, tilt > 4]);
		seen.add(leans);
	}
	expect(seen.size).toBe(2);
});

describe('remedies', () => {
	test('a pole that is too short becomes one of the next whole foot that reaches', () => {
		const tall = design('tall', '4 11 at 9 white x12', 'pole 4 ft');
		const { recipe } = remedied(tall, 'upright-short');
		expect(codes(recipe)).not.toContain('upright-short');
		const { length } = stackIn(recipe)!.upright;
		expect(length! % feet(1)).toBe(0);
		expect(length! / 1000 - look(recipe).stacks[0]!.placed.upright.usual).toBeLessThan(304.8);
	});
	test('a size over the safe one comes down to it, the others of the layer stay', () => {
		const over = design('over', '4 11 at 11.5 white + 2 5 at 4 white front tier 1');
		const { recipe } = remedied(over, 'over-safe');
		expect(rows(recipe)).toEqual(['4 × 11 at 11 white + 2 × 5 at 4 white front tier 1']);
		expect(codes(recipe)).not.toContain('over-safe');
	});
	/** A ring of unlike balls on the floor leans: its small ones hang low. */
	const leaning = (small: number): Recipe => {
		const draft = structuredClone(design('leaning', '4 11 at 10 white')) as RecipeDraft;
		const { places } = stackIn(draft as Recipe)!.layers[0]!.clusters[0]! as unknown as {
			places: { size: object }[];
		};
		for (const i of [0, 3])
			places[i]!.size = { kind: 'value', um: inches(small), unit: 'in', origin: 'typed' };
		return draft as Recipe;
	};
	test('a leaning ring is levelled by a small cluster of fives tucked in below, found by trial', () => {
		const recipe = leaning(6);
		const { layers } = stackIn(recipe)!;
		const found = findLevelling(stackIn(recipe)!, layers[0]!.id, [])!;
		expect(found.before).toBeGreaterThan(4);
		expect(found.after).toBeLessThan(0.7 * found.before);
		expect(found.size).toBeLessThanOrEqual(inches(4.5));
		const after = remedied(recipe, 'tilted');
		expect(after.say).toBeUndefined();
		const tilts = [recipe, after.recipe].map((r) => look(r).stacks[0]!.placed.layers[0]!.tilt);
		expect(tilts[0]).toBeCloseTo(found.before, 9);
		expect(tilts[1]).toBeCloseTo(found.after, 9);
	});
	test('what needs no levelling gets none', () => {
		const level = design('level', '4 11 at 10 white');
		expect(findLevelling(stackIn(level)!, stackIn(level)!.layers[0]!.id, [])).toBeUndefined();
		expect(findLevelling(stackIn(level)!, 'nobody', [])).toBeUndefined();
	});
});

describe('what stands, what is tied', () => {
	test('a tall piece that nothing holds down; a base or a weight is enough, and so is a stand still to choose', () => {
		const tall = (...more: string[]) => design('tall', '4 11 at 10 white x9', ...more);
		expect(codes(tall())).toContain('light-base');
		expect(codes(tall('pole 8 ft'))).not.toContain('light-base');
		expect(codes(tall('1 stand'))).not.toContain('light-base');
		expect(codes(design('low', '4 11 at 10 white x2'))).not.toContain('light-base');
	});
	test('latex on a bare floor, where no rule puts a patch', () => {
		const low = design('low', '4 11 at 10 white');
		expect(codes(low)).not.toContain('bare-floor');
		expect(codes({ ...low, rules: [{ of: 'floor contact', each: '0', material: null }] })).toContain(
			'bare-floor'
		);
	});
	test('line round soft latex: twisted on by one key', () => {
		const soft = design(
			'soft',
			'4 11 at 10 white',
			'4 11 at 7 white joined line',
			'4 11 at 9 white joined line'
		);
		const found = look(soft).findings.filter((f) => f.code === 'line-on-soft');
		expect(found).toHaveLength(1);
		expect(codes(remedied(soft, 'line-on-soft').recipe)).not.toContain('line-on-soft');
	});
	test('adhesive straight on printed foil: a patch first, by one key', () => {
		const printed = { ...studio, colours: new Map([...studio.colours].map(([id, c]) => [id, { ...c, finish: 'printed' as const }])) }; // prettier-ignore
		const faced = design('faced', '1 16 at 13 grey', 'put 1 foil star on row 1 front with strip');
		const codesOf = (recipe: Recipe) => tally(recipe, null, 1, { catalogue: printed, rates, library: () => undefined }).findings.map((f) => f.code); // prettier-ignore
		expect(codesOf(faced)).toContain('printed-foil');
		expect(codes(faced)).not.toContain('printed-foil');
		const piece = piecesIn(faced)[0]!.piece.id;
		const draft = structuredClone(faced) as RecipeDraft;
		applyRemedy(draft, { kind: 'fixing', piece, fixing: 'patch and strip' }, { newId: () => 'n', pumps: [] });
		expect(codesOf(draft as Recipe)).not.toContain('printed-foil');
	});
});

describe('hints let be', () => {
	const run = design('run', '4 11 at 10.5 white', '4 11 at 8.5 white', '4 11 at 8 white');
	test('one with a reason is quiet and can be asked for; another of its kind still speaks', () => {
		const finding = one(run, 'size-step');
		const hushed = { ...run, silenced: [{ finding: findingKey(finding), reason: 'a waist is wanted' }] };
		expect(look(hushed).findings.map((f) => f.code)).not.toContain('size-step');
		expect(look(hushed).silenced).toEqual([finding]);
		expect(recipeSchema.safeParse({ ...hushed, silenced: [{ finding: 'x', reason: ' ' }] }).success).toBe(
			false
		);
	});
	test('what stops a sale is never quiet', () => {
		const short = design('short', '4 11 at 9 white x9', 'pole 1 ft');
		const finding = one(short, 'upright-short');
		expect(codes({ ...short, silenced: [{ finding: findingKey(finding), reason: 'never mind' }] })).toContain(
			'upright-short'
		);
	});
});

describe('what makers build every day is not called wrong', () => {
	const column = (pole: string, ...rows: string[]) => design('column', '4 11 at 9 white x8', ...rows, pole);
	const needed = (recipe: Recipe) => look(recipe).stacks[0]!.placed.upright.usual;
	const feetOf = (mm: number) => `pole ${(mm / 304.8).toFixed(4)} ft`;
	test('a pole an inch short ends in the top cluster, which hides it; two inches short it is too short', () => {
		const need = needed(column('pole 9 ft'));
		expect(codes(column(feetOf(need - 24)))).not.toContain('upright-short');
		expect(codes(column(feetOf(need - 50)))).toContain('upright-short');
	});
	test('a topper is tied by its neck: the pole ends in the cluster below it', () => {
		const plain = needed(column('pole 9 ft'));
		expect(needed(column('pole 9 ft', '1 16 at 12 grey'))).toBe(plain);
		// A stack of singles is threaded to the top.
		const beads = design('beads', '1 11 at 9 white x4', 'pole 9 ft');
		expect(needed(beads)).toBeGreaterThan(3 * 0.9 * 228.6 * 0.8);
	});
	test('a lean is said once, where it begins, and not where a cluster is tucked in to level it', () => {
		const uneven = '2 11 at 10 white with 2 11 at 7 white';
		const leans = (recipe: Recipe) => look(recipe).findings.filter((f) => f.code === 'tilted').length;
		expect(leans(design('leaning', uneven, '4 11 at 9 white x5', '4 11 at 8 white'))).toBe(1);
		const levelled = design('level', `${uneven} + 2 5 at 4 white back`, '4 11 at 9 white x5');
		expect(look(levelled).stacks[0]!.placed.layers.some((l) => l.tilt > 4)).toBe(true);
		expect(leans(levelled)).toBe(0);
	});
	test('feet and the rest are two things, no graded run that jumps', () =>
		expect(codes(design('figure', '4 11 at 9½ white', '4 11 at 5 white', '4 11 at 4½ white'))).not.toContain(
			'size-step'
		));
	test('a collar that sinks into the ring below it is said', () => {
		const sunk = design('vase', '4 16 at 14 grey', '4 5 at 4½ white');
		expect(one(sunk, 'sunk').say).toMatch(/sits down inside the ring below it|touches nothing below it/);
		expect(codes(design('column', '4 16 at 13 grey', '4 11 at 9 white x5'))).not.toContain('sunk');
	});
	test('a foil tied to another part of the piece is held by that; by itself it wants a weight', () => {
		const held = (...lines: string[]) =>
			tally(designOf(floating, 'piece', lines), null, 1, {
				catalogue: catalogue(floating, colours),
				rates,
				library: () => undefined
			}).findings.map((f) => f.code);
		const foil = '1 buoy foil in helium on 4 ft thin ribbon';
		expect(held('bunch moons', foil)).toContain('not-held');
		expect(held('4 16 at 13 grey', 'bunch moons on column', foil)).not.toContain('not-held');
	});
	test('only a balloon of the Stockroom whose loss is set to 0 is said to have no spare', () => {
		const found = (loss: string | null, line = '4 11 at 10 white') => {
			const stock = materials.map((m) => ({ ...m, loss }));
			const recipe = designOf(materials, 'd', [line, 'pole 7 ft']);
			const context = { catalogue: catalogue(stock, colours), rates, library: () => undefined };
			return tally(recipe, null, 1, context).findings.flatMap((f) => (f.code === 'no-spare' ? [f.say] : []));
		};
		expect(found('0')).toEqual([expect.stringMatching(/11.*white: its loss is set to 0/)]);
		expect([found('1/50'), found(null), found('0', '4 16 at 13 gold')]).toEqual([[], [], []]);
	});
	test('a scrap of another job is no missing end; of this one it is counted', () => {
		const form = (...lines: string[]) => {
			const recipe = designOf(floating, 'form', ['form arms', ...lines]);
			const { findings, bill } = tally(recipe, null, 1, { catalogue: catalogue(floating, colours), rates, library: () => undefined }); // prettier-ignore
			return [findings.some((f) => f.code === 'no-left-overs'), bill.lines.reduce((a, l) => a + l.used.valueOf(), 0)]; // prettier-ignore
		};
		expect(form('2 260 red 9 scrap')).toEqual([false, 0]);
		expect(form('1 260 red 20 part used', '3 260 red 9 scrap')).toEqual([true, 3]);
	});
	test('a foil without a size is taken for an eighteen and says so; a shaped one in helium says its litres are guessed', () => {
		const stock = [...floating, { ...floating.find((m) => m.id === 'buoy foil')!, id: 'whale', name: 'whale foil', nominal: null, litres: null }, { ...floating.find((m) => m.id === 'buoy foil')!, id: 'crab', name: 'crab foil', litres: null }]; // prettier-ignore
		const worked = (...lines: string[]) =>
			tally(designOf(stock, 'piece', lines), null, 1, { catalogue: catalogue(stock, colours), rates, library: () => undefined }); // prettier-ignore
		const whale = worked('bunch b', '1 whale foil in helium');
		expect(whale.findings.map((f) => f.code)).toContain('foil-size');
		expect(whale.bill.inflate.map((l) => l.label)).toEqual([
			'whale foil, by look: creases left at the rim, springs back, helium'
		]);
		expect(whale.tasks.find((t) => t.task === 'foil')).toMatchObject({ count: 2 });
		expect(worked('bunch b', '1 crab foil in helium').findings.map((f) => f.code)).toContain('foil-litres');
		expect(worked('bunch b', '1 crab foil').findings.map((f) => f.code)).not.toContain('foil-litres');
	});
});

describe('of two colours that can hardly be told apart', () => {
	const alikes = (...lines: string[]) => look(pale(design('two', ...lines), 'red')).findings.filter((f) => f.code === 'slots-alike'); // prettier-ignore
	test('where both are used once the later one can go, and only that', () => {
		const found = alikes('4 11 at 9 white', '4 11 at 9 gold', '4 11 at 9 red');
		expect(found.map((f) => f.say)).toEqual(['red: chalk white is used in one row and can hardly be told from gull white.']); // prettier-ignore
	});
	test('the one used once goes, whichever came first', () => {
		const found = alikes('4 11 at 9 red', '4 11 at 9 white', '4 11 at 8 white');
		expect(found.map((f) => f.say)).toEqual(['red: chalk white is used in one row and can hardly be told from gull white.']); // prettier-ignore
		expect(alikes('4 11 at 9 red', '4 11 at 8 red', '4 11 at 9 white', '4 11 at 8 white')).toEqual([]);
	});
	test('one that a colourway leaves out is left out of it no more once it is gone', () => {
		const recipe = pale(design('c', '4 11 at 9 white', '4 11 at 8 white', '4 11 at 9 red'), 'red');
		const red = recipe.slots.find((s) => s.name === 'red')!.id;
		const white = recipe.slots.find((s) => s.name === 'white')!.id;
		const left = { ...recipe, colourways: recipe.colourways.map((c) => ({ ...c, without: [red, white] })) };
		const draft = structuredClone(left) as RecipeDraft;
		applyRemedy(draft, { kind: 'slot', from: red, to: white }, { newId: counter('n'), pumps: [] });
		expect(draft.colourways.map((c) => c.without)).toEqual([[white]]);
	});
});

describe('what a maker would say of the whole', () => {
	test('a leaning layer is told to which side, and a small cluster there levels it, on the other side it does not', () => {
		const leaning = ['4 11 at 9 white x2', '2 11 at 10 white with 2 5 at 4 white'];
		const { say } = one(design('column', ...leaning), 'tilted');
		expect(say).toMatch(/leans by \d+° to the (front )?(left|right|back)/);
		const [, side] = /to the (?:front |back )?(\w+)\./.exec(say)!;
		const other = { left: 'right', right: 'left', back: 'front', front: 'back' }[side!]!;
		const leans = (where: string) => {
			const stack = look(design('column', ...leaning, `4 11 at 9 white tier 1 + 4 5 at 3 white ${where}`)).stacks[0]!;
			return stack.placed.layers.at(-1)!.tilt;
		};
		const alone = look(design('column', ...leaning, '4 11 at 9 white')).stacks[0]!.placed.layers.at(-1)!.tilt;
		expect(leans(side!)).toBeLessThan(alone);
		expect(leans(other)).toBeGreaterThan(alone);
	});
	test('soft clusters of a garland joined with line are told, firm ones are not', () => {
		const garland = (size: string) => design('garland', 'run garland', 'line 8 ft', `4 11 at ${size} white`, 'joined line');
		expect(codes(garland('6'))).toContain('line-on-soft');
		expect(codes(garland('10'))).not.toContain('line-on-soft');
	});
	test('a big balloon on a stick sways, on a pole it does not', () => {
		const topped = (upright: string) => codes(design('column', '4 11 at 9 white x3', '1 36 at 30 gold', upright));
		expect([topped('stick 4 ft').includes('wobbles'), topped('pole 4 ft').includes('wobbles')]).toEqual([true, false]);
	});
	test('what hangs under a ball on a strip peels; glued it holds', () => {
		const hung = (how: string, bag = '11 at 8') => design('face', '4 11 at 9 white x2', 'put 1 11 at 9 white as head on row 1 front with glue', `put 1 ${bag} red as drop on head down with ${how}`);
		expect(codes(hung('strip'))).toContain('peels');
		expect(codes(hung('strip', '5 at 4'))).not.toContain('peels');
		expect(codes(remedied(hung('strip'), 'peels').recipe)).not.toContain('peels');
	});
	test('what is too low on its host is told by its name and how far it goes under the floor', () => {
		const low = design('face', '4 11 at 9 white', 'put 1 16 at 14 white as wing on row 1 left with glue');
		// A quad of 9 stands 4½ in to its middle; a ball of 14 there goes 2½ in under.
		expect(one(low, 'under-floor').say).toContain('wing goes 2½ in under the floor');
		expect(codes(design('face', '4 11 at 9 white', 'put 1 5 at 4 white as dot on row 1 left'))).not.toContain('under-floor');
	});
}); // prettier-ignore
