import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { demoDesigns } from '../../../../scripts/demo/designs.ts';
import { demoRecipe } from '../../../../scripts/demo/load.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours as demoColours, stockRows } from '../../../../scripts/demo/stock.ts';
import { colours, design, designOf, floating, rates, studio } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { stackIn } from '../structures/stack/edit.ts';
import type { Layer } from '../structures/stack/document.ts';
import { tally } from '../tally/tally.ts';
import { editPlan, type PlanEdit } from './arrange.ts';
import { madeSteps, planOf } from './plan.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const ONCE = { colourway: null, size: null, quantity: 1 };
const column = design(
	'column',
	'4 16 at 13 grey',
	'4 11 at 10 white / red x2',
	'1 11 at 9 gold',
	'pole 7 ft',
	'put 2 5 at 4 white as eyes on row 3 front with glue',
	'1 fairy lights'
);
const floats = { ...context, catalogue: catalogue(floating, colours), pumps: [] };
const stepsOf = (recipe: Recipe) => planOf(recipe, ONCE, context)[0]!.steps;
const done = (recipe: Recipe, ...edits: PlanEdit[]): Recipe => {
	const draft = structuredClone(recipe) as RecipeDraft;
	for (const edit of edits) expect(editPlan(draft, madeSteps(draft as Recipe, context), edit)).toBe(true);
	return recipeSchema.parse(JSON.parse(JSON.stringify(draft)));
};
const keyOf = (recipe: Recipe, start: string, at = 0) =>
	stepsOf(recipe).filter((s) => s.id.startsWith(start))[at]!.id;

describe('steps made from the structures', () => {
	test('what carries it first, then inflate, tie, patch, the rows from the floor up, what is put on, then the site', () => {
		expect(stepsOf(column).map((s) => s.id.split(':')[0])).toEqual([
			'upright', 'inflate', 'clusters', 'patches', 'row', 'row', 'row', 'inflate', 'piece', 'look behind', 'line', 'set up',
			'look over', 'strike'
		]); // prettier-ignore
	});
	test('say counts, sizes and colours as crew read them, and what has to be so', () => {
		const [, inflate, , , low, middle] = stepsOf(column);
		expect(inflate!.lines.map((l) => `${l.count} × ${l.text}`)).toEqual([
			'4 × 16 at 13, limpet grey',
			'4 × 11 at 10, gull white',
			'4 × 11 at 10, buoy red',
			'1 × 11 at 9, hive gold matte'
		]);
		expect(inflate!.check).toContain('passes the hole');
		expect(low!.text).toBe('column, from the floor up. Row 1: 4 × 16 at 13 limpet grey.');
		expect(middle!.text).toContain(
			'Row 2, 2 layers alike: 4 × 11 at 10 gull white / buoy red; each turned half a place'
		);
		expect(middle!.method).toBe('twisted on');
		expect(middle!.check).toMatch(/^its top stands at about \d′/);
	});
	test('what was said on the entry line stands at the end of its place', () => {
		const said = design(
			'column',
			'4 11 at 9 white',
			'step cover it with a Sheet',
			'step at site: fill the base, then go on'
		);
		const steps = stepsOf(said).filter((s) => s.place === 'bench');
		expect(steps.at(-1)).toMatchObject({ text: 'cover it with a Sheet', own: true });
		const site = stepsOf(said).filter((s) => s.place === 'site').map((s) => s.text); // prettier-ignore
		expect(site.indexOf('fill the base, then go on')).toBe(
			site.indexOf('Walk round it and look from where the guests stand.') - 1
		);
	});
	test('what floats is filled when everything else is built, from the cylinder; what sits on it comes with it', () => {
		const recipe = designOf(floating, 'late', [
			'4 11 at 9 white',
			'bunch tops on column',
			'1 11 white in helium on 3 ft ribbon',
			'section foot right of column',
			'4 11 at 9 white'
		]);
		const steps = planOf(recipe, ONCE, { ...floats, rates })[0]!.steps;
		const at = (text: string) => steps.findIndex((s) => s.text.includes(text));
		expect(at('balloons of foot')).toBeGreaterThan(at('balloons of column'));
		expect(at('balloons of tops')).toBeGreaterThan(at('balloons of foot'));
		expect(steps[at('balloons of tops')]!.tool).toContain('cylinder');
		expect(steps[at('balloons of column')]!.tool).not.toContain('cylinder');
	});
	test('a row of the same size is held against the one below it', () => {
		const steps = stepsOf(design('alike', '4 11 at 9 white', '4 11 at 9 red', '4 11 at 8 red'));
		const rows = steps.filter((s) => s.id.startsWith('row:')).map((s) => s.check.includes('as full as'));
		expect(rows).toEqual([false, true, false]);
	});
	test('a step on the line says what it takes, its tool and its check, and keeps its words', () => {
		const recipe = design('own', '4 11 at 9 white', 'step glue the eyes, takes 10 min, tool glue gun, check that nothing slips'); // prettier-ignore
		const own = stepsOf(recipe).find((s) => s.own)!;
		expect(own).toMatchObject({ text: 'glue the eyes, takes 10 min', takes: 600, tool: 'glue gun', check: 'nothing slips' }); // prettier-ignore
	});
	test('a tool or a check that is too long is refused, not cut', () => {
		for (const [what, letters] of [['tool', 81], ['check', 301]] as const)
			expect(() => design('own', '4 11 at 9 white', `step glue it, ${what} ${'x'.repeat(letters)}`)).toThrow(`has at most ${letters - 1} letters`); // prettier-ignore
	});
	test('a piece on trial is looked at, then fixed for good: both are timed, and so much of it is said', () => {
		const recipe = design('trial', '4 11 at 9 white', 'put 2 5 at 4 red as eyes on row 1 front with 2 trial loop then glue'); // prettier-ignore
		const [piece] = stepsOf(recipe).filter((s) => s.id.startsWith('piece:'));
		expect(piece!.method).toBe('on trial with trial loop; looked at from where the guests stand, then for good with 2 × glue'); // prettier-ignore
		expect(piece!.work.map(({ task }) => [task.task, task.count])).toEqual([['fix', 4]]);
	});
	test('glue is waited for, and its tool is named', () => {
		const piece = stepsOf(column).find((s) => s.id.startsWith('piece'))!;
		expect(piece).toMatchObject({ wait: 60, tool: 'low-temperature glue gun', method: 'with glue' });
		expect(piece.text).toBe('Fix 2 × eyes on row 3, front.');
	});
	const stock = catalogue(
		stockRows.map((r) => ({ ...r.material, packs: [] })),
		demoColours
	);
	const library = new Map(demoDesigns.map((d) => [d.id, demoRecipe(d)]));
	const demo = { catalogue: stock, rates: settings.rates, library: (id: string) => library.get(id) };
	test.each(demoDesigns.map((d) => [d.name, d.id] as const))(
		'%s: the minutes of all steps are the minutes of the tally, in every size and however many',
		(_, id) => {
			const recipe = library.get(id)!;
			for (const size of [null, ...recipe.sizes.map((s) => s.id)]) {
				for (const quantity of [1, 3]) {
					const parts = planOf(recipe, { colourway: null, size, quantity }, demo);
					const worked = tally(recipe, null, quantity, demo, size);
					const labour = worked.tasks.reduce((a, t) => a + t.seconds.valueOf(), 0);
					expect(parts.reduce((a, p) => a + p.seconds, 0)).toBeCloseTo(labour, 6);
					const inflated = parts.flatMap((p) => p.steps.filter((s) => /^(inflate|foils|infill):/.test(s.id)));
					const count = inflated.flatMap((s) => s.lines).reduce((a, l) => a + l.count, 0);
					expect(count).toBe(worked.bill.inflate.reduce((a, l) => a + l.quantity.valueOf(), 0));
				}
			}
		}
	);
});

describe('what the owner makes of the plan', () => {
	test('a step moves, and stays where it was put when rows come and go', () => {
		const inflate = keyOf(column, 'inflate');
		const moved = done(column, { kind: 'move', id: inflate, to: keyOf(column, 'upright') });
		expect(stepsOf(moved)[0]!.id).toBe(inflate);
		const taller = structuredClone(moved) as RecipeDraft;
		const stack = taller.sections[0]!.structure;
		if (stack.kind === 'stack')
			stack.layers.splice(2, 0, { ...structuredClone(stack.layers[1]!), id: 'new-row' });
		const rows = stepsOf(taller as Recipe);
		expect(rows[0]!.id).toBe(inflate);
		const ids = rows.map((s) => s.id);
		expect(ids.indexOf('row:new-row')).toBe(ids.indexOf(keyOf(column, 'row', 1)) + 1);
	});
	test('her words stand in place of what is made; the rest goes on following the recipe', () => {
		const row = keyOf(column, 'row', 0);
		const made = stepsOf(column).find((s) => s.id === row)!;
		const said = done(column, {
			kind: 'say',
			id: row,
			says: { text: made.text, tool: 'spirit level', place: 'site' }
		});
		expect(said.steps.find((s) => s.id === row)!.says).toEqual({ tool: 'spirit level', place: 'site' });
		const back = done(said, { kind: 'as made', id: row });
		expect(stepsOf(back).find((s) => s.id === row)).toMatchObject({ tool: '', place: 'bench' });
	});
	test('her own steps go in where she says, once; a made one is left out, not lost', () => {
		const add: PlanEdit = { kind: 'add', id: 'own-1', after: keyOf(column, 'clusters'), says: { text: 'Cover the clusters with a sheet.' } }; // prettier-ignore
		const added = done(column, add, add, { kind: 'remove', id: keyOf(column, 'look over') });
		const steps = stepsOf(added);
		expect(steps.filter((s) => s.own)).toHaveLength(1);
		expect(steps[3]!.text).toBe('Cover the clusters with a sheet.');
		expect(steps.find((s) => s.id === 'look over:')!.out).toBe(true);
		const gone = done(added, { kind: 'remove', id: 'own-1' });
		expect(stepsOf(gone).some((s) => s.own)).toBe(false);
	});
	test('a step whose row was deleted: with words it stays and says so, without it goes', () => {
		const [first, last] = [keyOf(column, 'row', 0), keyOf(column, 'row', 2)];
		const said = done(
			column,
			{ kind: 'say', id: last, says: { text: 'The gold one looks to the door.' } },
			{ kind: 'add', id: 'own', after: null, says: { text: 'Dust it.' }, uses: [last.split(':')[1]!] }
		);
		const less = structuredClone(said) as RecipeDraft;
		const stack = less.sections[0]!.structure;
		if (stack.kind === 'stack') stack.layers = [stack.layers[1]!];
		const steps = stepsOf(less as Recipe);
		expect(steps.find((s) => s.id === last)).toMatchObject({
			lost: true,
			text: 'The gold one looks to the door.'
		});
		expect(steps.find((s) => s.id === 'own')!.lost).toBe(true);
		expect(steps.some((s) => s.id === first)).toBe(false);
		const found = tally(less as Recipe, null, 1, context).findings.filter((f) => f.code === 'step-lost');
		expect(found).toHaveLength(2);
	});
	test('a step of a slot left out in one colourway is not lost: it is there in the other', () => {
		const two = structuredClone(column) as RecipeDraft;
		const gold = two.slots.find((s) => s.name === 'gold')!;
		two.colourways[0]!.without.push(gold.id);
		const row = keyOf(column, 'row', 2);
		const said = done(column, { kind: 'say', id: row, says: { tool: 'ladder' } });
		const steps = stepsOf({ ...said, colourways: two.colourways as Recipe['colourways'] });
		expect(steps.some((s) => s.id === row || s.lost)).toBe(false);
	});
	test('glue with the wait taken away is spoken of', () => {
		const hasty = done(column, { kind: 'say', id: keyOf(column, 'piece'), says: { wait: 0 } });
		expect(tally(hasty, null, 1, context).findings.some((f) => f.code === 'no-wait')).toBe(true);
		const painted = design('boat', '4 11 at 9 white painted');
		expect(stepsOf(painted).find((s) => s.id.startsWith('paint'))).toMatchObject({ wait: 3600 });
		const wet = done(painted, { kind: 'say', id: keyOf(painted, 'paint'), says: { wait: 0 } });
		expect(tally(wet, null, 1, context).findings.map((f) => f.code)).toContain('no-wait');
	});
	test('whatever is done to a plan, every made step is in it once (property)', () => {
		const keys = stepsOf(column).map((s) => s.id);
		const edit = fc.oneof(
			fc.record({
				kind: fc.constant('move' as const),
				id: fc.constantFrom(...keys),
				to: fc.constantFrom(...keys)
			}),
			fc.record({ kind: fc.constant('remove' as const), id: fc.constantFrom(...keys) }),
			fc.record({
				kind: fc.constant('add' as const),
				id: fc.uuid(),
				after: fc.constantFrom(...keys, null),
				says: fc.constant({ text: 'x' })
			}),
			fc.record({ kind: fc.constant('as made' as const), id: fc.constantFrom(...keys) })
		);
		fc.assert(
			fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
				const after = stepsOf(done(column, ...edits));
				expect(after.filter((s) => !s.own).map((s) => s.id).sort()).toEqual([...keys].sort()); // prettier-ignore
				expect(after.filter((s) => s.own)).toHaveLength(edits.filter((e) => e.kind === 'add').length);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('bunches and forms as they are built', () => {
	const jelly = designOf(floating, 'jelly', [
		'bunch jelly',
		'1 24 at 22 white filled with 11 at 7 red in helium on 6 ft ribbon as bell',
		'1 buoy foil firm on ribbon as float',
		'1 place card',
		'form tentacles on jelly',
		'6 260 red 40 trained softened as tentacle on bell'
	]);
	const steps = planOf(jelly, ONCE, { ...floats, rates })[0]!.steps;
	test('inflate, what goes inside, foils by look, ribbons, what hangs on; then the form piece by piece', () => {
		expect(steps.map((s) => s.id.split(':')[0])).toEqual([
			'inside', 'inflate', 'foils', 'ribbons', 'hang', 'inflate', 'piece', 'look behind', 'set up', 'look over', 'strike'
		]); // prettier-ignore
		const [, inflate, foils, ribbons, , limbs, piece] = steps;
		expect(inflate!.lines.map((l) => l.text)).toEqual(['24 at 22, gull white, helium', '11 at 7, buoy red']);
		expect(foils!.lines[0]!.text).toBe('buoy foil, 30 in flat, 2 chambers, each by itself');
		expect(foils!.check).toMatch(/creases left at the rim.*those said to be firm/);
		expect(ribbons!.lines.map((l) => l.text)).toEqual([
			'thin ribbon, 6′ 0″, on bell',
			'thin ribbon, measured on the spot, about 5′ 0″, on float'
		]);
		expect(limbs!.lines[0]!.text).toBe('260, 40 in, buoy red');
		expect(piece).toMatchObject({ text: 'Fix 6 × tentacle on the bell.', method: 'squeezed soft before it is twisted, bent by hand until it stays' }); // prettier-ignore
	});
	test('one tie that serves a row and a piece is counted once and met at both', () => {
		const tied = structuredClone(design('star', '4 11 at 9 white x2', 'put 1 foil star as star on row 1 front with tie', '1 fairy lights')) as RecipeDraft; // prettier-ignore
		const extras = tied.sections.find((s) => s.structure.kind === 'extras')!.structure;
		const [row] = tied.sections[0]!.structure.kind === 'stack' ? tied.sections[0]!.structure.layers : [];
		const pieces = tied.sections.find((s) => s.structure.kind === 'applied')!.structure;
		if (extras.kind !== 'extras' || pieces.kind !== 'applied') throw new Error('not as said');
		extras.lines[0]!.serves = [row!.id, pieces.pieces[0]!.id];
		const met = stepsOf(tied as Recipe).filter((s) => s.method.includes('fairy lights holds it too'));
		expect(met.map((s) => s.id.split(':')[0])).toEqual(['row', 'piece']);
		const lights = tally(tied as Recipe, null, 1, context).bill.lines.find(
			(l) => l.label === 'fairy lights'
		)!;
		expect(lights.used.valueOf()).toBe(1);
	});
	test('a tie that goes down says to which row, and why', () => {
		const tied = design('tied', '4 11 at 9 white', '4 11 at 9 white', '4 11 at 8 white', 'section hat on column tied with fairy lights down to row 2', '1 16 at 13 grey'); // prettier-ignore
		expect(stepsOf(tied).find((s) => s.text.startsWith('Set hat'))!.method).toBe('tied with fairy lights, led down through the middle and fixed to row 2: the top alone would be pulled off'); // prettier-ignore
	});
	test('a weight that serves a row goes in as soon as that stands, what serves a piece after that', () => {
		const weighed = design('weighed', '4 16 at 13 grey', '4 11 at 9 white x2', 'put 1 foil star as star on row 1 front with tie', '1 fairy lights serving column row 1', '1 star card serving star'); // prettier-ignore
		const texts = stepsOf(weighed).map((s) => s.text);
		const at = (words: RegExp) => texts.findIndex((t) => words.test(t));
		expect(at(/fairy lights there, before what comes next/)).toBe(at(/Row 1/) + 1);
		expect(at(/fairy lights/)).toBeLessThan(at(/Row 2/));
		expect(at(/star card there/)).toBe(at(/Fix 1 × star/) + 1);
		expect(texts.filter((t) => /fairy lights|star card/.test(t))).toHaveLength(2);
	});
	test('a warm inflator said for the foils is told of', () => {
		const made = stepsOf(jelly).find((s) => s.id.startsWith('foils'))!.id;
		const warm = done(jelly, { kind: 'say', id: made, says: { tool: 'the big inflator' } });
		expect(tally(warm, null, 1, context).findings.map((f) => f.code)).toContain('warm-inflator');
		const cool = done(jelly, { kind: 'say', id: made, says: { tool: 'cool inflator' } });
		expect(tally(cool, null, 1, context).findings.map((f) => f.code)).not.toContain('warm-inflator');
	});
});

describe('a made step that was not there when the plan was arranged', () => {
	const arranged = done(column, { kind: 'move', id: keyOf(column, 'row'), to: keyOf(column, 'row', 1) });
	test('comes after the step that it is made after', () => {
		const taller = structuredClone(arranged) as RecipeDraft;
		const stack = stackIn(taller as Recipe)!;
		(stack.layers as Layer[]).push({ ...stack.layers[1]!, id: 'fresh' });
		const ids = stepsOf(taller as Recipe).map((s) => s.id);
		const made = madeSteps(taller as Recipe, context).map((m) => m.key);
		const fresh = ids.findIndex((id) => id === 'row:fresh');
		expect(fresh).toBeGreaterThan(0);
		// The nearest before it, of those that were arranged.
		const known = new Set(stepsOf(arranged).map((s) => s.id));
		const before = made.slice(0, made.indexOf('row:fresh')).findLast((k) => known.has(k));
		expect(ids[fresh - 1]).toBe(before);
	});
	test('a step about all of a design is about none of its parts', () => {
		for (const step of stepsOf(column).filter((s) => s.id.endsWith(':'))) expect(step.uses).toEqual([]);
		const [row] = stepsOf(column).filter((s) => s.id.startsWith('row:'));
		expect(row!.uses).toEqual([row!.id.slice('row:'.length)]);
	});
});

describe('steps in her own words', () => {
	test('their minutes are labour, on plan and tape alike; a wait is none; left out they are nothing', () => {
		const said = design('column', '4 11 at 9 white x6', 'step wrap the foot in paper takes 12 min wait 1 h');
		const before = tally(design('column', '4 11 at 9 white x6'), null, 1, context).cost.seconds.valueOf();
		expect(said.steps[0]!.says).toMatchObject({ takes: 720, wait: 3600 });
		for (const many of [1, 3]) {
			const own = tally(said, null, many, context);
			const [part] = planOf(said, { colourway: null, size: null, quantity: many }, context);
			expect(part!.seconds).toBeCloseTo(own.cost.seconds.valueOf(), 6);
			expect(own.tasks.find((t) => t.task === 'own steps')?.count).toBe(12 * many);
		}
		expect(tally(said, null, 1, context).cost.seconds.valueOf() - before).toBe(720);
		const out = { ...said, steps: said.steps.map((s) => ({ ...s, out: true })) };
		expect(tally(out, null, 1, context).cost.seconds.valueOf()).toBe(before);
	});
});
