import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, counter, designOf, entryContext, floating, rates } from '../../../../tests/kit/studio.ts';
import { namesIn, remap } from '../files/remap.ts';
import { catalogue } from '../materials/catalogue.ts';
import { tally } from '../tally/tally.ts';
import { asCounted } from '../count-back/as-counted.ts';
import { compare } from '../compare/compare.ts';
import { countLines } from '../count-back/count-lines.ts';
import { movePart, removePart } from '../recipe/edit-parts.ts';
import { pathAs, dragged, DRAWN_KINDS, gripsOf, kindOf } from '../structures/run/edit-path.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Run, RunPath } from '../structures/run/document.ts';
import type { Weave } from '../structures/weave/document.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { sayRecipe } from '../compare/say-recipe.ts';
import { leadSize, leadingSection, scaleBy, scaleToHeight } from '../recipe/scale.ts';
import { toHeight } from '../recipe/to-height.ts';
import { inches } from '../units/length.ts';
import { omittingSlots } from '../recipe/omit-slots.ts';
import { parseEntry } from './read.ts';
import { applyEntry } from './apply.ts';
import { printLines } from './print.ts';
import { printPath } from '../structures/run/print.ts';

const stock = catalogue(floating, colours);
const made = (...lines: string[]): Recipe =>
	recipeSchema.parse(JSON.parse(JSON.stringify(designOf(floating, 'lined', lines))));
const materialOf = (id: string) => stock.materials.get(id);
const parse = (recipe: Recipe, text: string) =>
	parseEntry(text, { ...entryContext(recipe), materials: floating, section: recipe.sections[0]!.id });
const printed = (recipe: Recipe) => printLines(recipe.sections[0]!, recipe, materialOf);
const say = (recipe: Recipe, text: string, editing?: string): Recipe => {
	const entry = parse(recipe, text);
	if (!entry.ok) throw new Error(`${text}: ${entry.say}`);
	const draft = structuredClone(recipe) as RecipeDraft;
	applyEntry(draft, entry.value, { section: recipe.sections[0]!.id, editing }, counter('n'));
	return recipeSchema.parse(JSON.parse(JSON.stringify(draft)));
};
const plain = (recipe: Recipe): string =>
	JSON.stringify(recipe.sections, (key, value: unknown) => (key === 'id' ? undefined : value));

const garland = made(
	'run garland',
	'curve 0 by 0, 4 by −1½, 8 by 3½ ft lifted 4 ft',
	'tee at 4 ft up 3 ft apart 5 in',
	'3 5 at 4 red with 1 5 at 4 white x2 apart 4 in joined line',
	'4 11 at 9 gradient white / red',
	'60 % 5 at 4½ of 2 white / 1 red',
	'40 % 11 at 8 to 9 by eye of gold',
	'infill 2 to 4 a foot 5 at 3 open',
	'infill 1 a foot 5 at 3 red',
	'against a wall',
	'fullness 1¼',
	'thicker in the middle',
	'2½ clusters a foot',
	'7 ft took 96 5 + 30 11',
	'counted by packing',
	'joined necks',
	'corner 5 at 3 gold',
	'spine soft line tails 2 ft 2 loops 4 ties a metre',
	'hung on hooks every 2½ ft with wall hook',
	'spare 2 clusters'
);
const wall = made(
	'weave wall',
	'panel of 10 links at 9',
	'2 rows 4 white / 2 hidden / 2 red',
	'row 8 gold',
	'joined with 5 at 2 red',
	'inner quad',
	'ends single',
	'held 2 of 3 staggered 2',
	'bent over 6 ft',
	'handle of 8 gold over 6 ft to 2 ft',
	'hung on backdrop every 2 ft'
);
const base = made('weave base', 'base of 10 links at 9 8 by 4 with 2 cross pieces', 'row 1 white');

describe('what a row prints is read back as the same', () => {
	const all = [garland, wall, base].flatMap((recipe) =>
		printed(recipe).map((line) => [line.text, recipe, line] as const)
	);
	test.each(all)('%s', (text, recipe, line) => {
		expect(plain(say(recipe, text, line.id ?? undefined))).toBe(plain(recipe));
	});
	test('paths of any kind and size', () => {
		const inch = fc.integer({ min: 3, max: 3000 }).map((n) => n * 25_400);
		const leg = fc.record({ way: fc.constantFrom('right', 'left', 'up', 'down'), length: inch, pitch: fc.option(fc.integer({ min: 1, max: 40 }).map((n) => n * 12_700)) }); // prettier-ignore
		const path = fc.oneof(
			fc.record({ kind: fc.constant('line'), length: inch }),
			fc.record({
				kind: fc.constant('arch'),
				span: inch,
				rise: inch,
				curve: fc.constantFrom('ellipse', 'catenary')
			}),
			fc.record({ kind: fc.constant('corners'), legs: fc.array(leg, { minLength: 1, maxLength: 8 }) }),
			fc.record({
				kind: fc.constant('helix'),
				across: inch,
				height: inch,
				turns: fc.integer({ min: 1, max: 20 })
			})
		);
		fc.assert(
			fc.property(path, (any) => {
				const text = printPath(any as unknown as RunPath, garland);
				const entry = parse(garland, text);
				expect([text, entry]).toMatchObject([
					text,
					{ ok: true, value: { kind: 'run', said: { set: 'path', path: any } } }
				]);
			})
		);
	});
	test('a mix, a row and a wall say what they are, and a change of one is a difference', () => {
		const text = sayRecipe(garland, (id) => id).join('\n');
		expect(text).toMatch(/60 % 5 at 4½ of 2 white \/ 1 red/);
		expect(sayRecipe(wall, (id) => id).join('\n')).toMatch(/2 rows 4 white \/ 2 hidden/);
		const changed = say(
			garland,
			'50 % 5 at 4½ of white',
			printed(garland).find((l) => l.about === 'mix')!.id!
		);
		const seen = (r: Recipe) => ({
			recipe: r,
			tally: tally(r, null, 1, { catalogue: stock, rates, library: () => undefined })
		});
		expect(compare(seen(garland), seen(changed)).lines.filter((l) => l.where === 'second')).toMatchObject([
			{ text: '50 % 5 at 4½ of white' }
		]);
	});
});

describe('what no run and no weave can be is refused where it was typed', () => {
	test.each([
		['line 0 ft', /between 3 in and 650 ft/],
		['line 2000 m', /between 3 in and 650 ft/],
		['arch 8 ft', /How wide and how high/],
		['corners right', /as a way and a length/],
		['curve 1 by 1, 1 by 1 ft', /a path has a length/],
		['curve 0 by 0, 900 by 1 ft', /650 ft/],
		['helix 1 ft across', /how many turns/],
		['along nothing', /no other in this design/],
		['0 % 5 at 4 of white', /above 0 and at most 100/],
		['120 % 5 at 4 of white', /above 0 and at most 100/],
		['30 % 5 at 4', /In which colours/],
		['30 % 7 at 4 of white', /no 7 in round/],
		['fullness 9', /between ¼ and 3/],
		['counted by luck', /Counted how/],
		['infill 4 to 2 a foot 5 at 3 red', /How many a foot/],
		['99 clusters a foot', /at most 24/],
		['7 ft took 96', /size on the bag/],
		['spine soft line 3 loops', /two ends/],
		['hung on air', /Hung on what/],
		['hung on paper wall', /Hung on what/],
		['tee at 4 ft', /which way/],
		['4 5 at 4 white apart 0 in', /How far/],
		['4 5 at 4 white to 6 ft', /as long as the path/],
		['spare 999 clusters', /up to 200/]
	])('%s', (text, sentence) => {
		const entry = parse(garland, text);
		expect(entry).toMatchObject({ ok: false, say: expect.stringMatching(sentence) as unknown });
	});
	test.each([
		['panel of 7 links at 5', /no 7 in link/],
		['panel of 10', /Of which balloons/],
		['row 8', /In which colour/],
		['999 rows 8 white', /1 to 200/],
		['held 3 of 2', /How many of how many/],
		['inner glue', /I read all but|held by|Start with|colour/],
		['handle of 8 gold', /how wide/],
		['base of 10 links at 9', /long and across/]
	])('%s', (text, sentence) => {
		expect(parse(wall, text)).toMatchObject({ ok: false, say: expect.stringMatching(sentence) as unknown });
	});
	test('never throws, whatever is typed', () => {
		const start = fc.constantFrom('line ', 'arch ', 'corners up ', 'curve 0 by 0, ', '60 % 5 ', 'infill ', 'spine ', 'hung on ', '7 ft took ', 'tee at '); // prettier-ignore
		fc.assert(fc.property(start, fc.string({ maxLength: 30 }), (a, b) => {
				expect(parse(garland, a + b)).toHaveProperty('ok');
			}), { numRuns: 400 }); // prettier-ignore
		const woven = fc.constantFrom('panel of ', 'row ', 'held ', 'joined with ', 'handle of ', 'bent ');
		fc.assert(fc.property(woven, fc.string({ maxLength: 30 }), (a, b) => {
				expect(parse(wall, a + b)).toHaveProperty('ok');
			}), { numRuns: 300 }); // prettier-ignore
	});
});

test.each([
	[garland, '12 ft line', 'line 12 ft'],
	[garland, 'against wall', 'against a wall'],
	[garland, 'thick in the middle', 'thicker in the middle'],
	[garland, '40 % elevens at 9 of 2 gold and 1 red', '40 % 11 at 9 of 2 gold / 1 red'],
	[garland, '7 ft took 96 fives and 30 elevens', '7 ft took 96 5 + 30 11'],
	[wall, 'row 4 white 4 red', 'row 4 white / 4 red'],
	[wall, 'row 4 white and 4 red', 'row 4 white / 4 red'],
	[wall, 'edges single', 'edge single'],
	[wall, 'bend over 5 ft', 'bent over 5 ft'],
	[wall, 'base of 10 links at 9, 8 by 4', 'base of 10 links at 9 8 by 4']
])('said otherwise it is the same: %#', (recipe, otherwise, plainly) => {
	expect(plain(say(recipe, otherwise))).toBe(plain(say(recipe, plainly)));
});

test('a ribbon is a panel, a basket a ring', () => {
	for (const [word, shape] of [
		['ribbon', 'panel'],
		['wall', 'panel'],
		['basket', 'ring']
	] as const)
		// prettier-ignore
		expect(parse(wall, `${word} of 10 links at 9`)).toMatchObject({ value: { said: { shape } } });
});

test('a wall says what holds on it, and is said again', () => {
	for (const [wall, by] of [
		['brick', 'hooks'],
		['plaster', 'pins']
	] as const) {
		const hung = say(garland, `hung on ${wall} wall every 3 ft with wall hook`);
		expect((hung.sections[0]!.structure as Run).hung).toMatchObject({ by, wall, material: 'wall hook' });
		expect(printed(hung).map((l) => l.text)).toContain(`hung on ${wall} wall every 3 ft with wall hook`);
	}
});

describe('what changes a recipe changes runs and weaves too', () => {
	const runOf = (recipe: Recipe) => recipe.sections[0]!.structure as Run;
	const weaveOf = (recipe: Recipe) => recipe.sections[0]!.structure as Weave;
	const slot = (recipe: Recipe, name: string) => recipe.slots.find((s) => s.name.includes(name))!.id;
	test('parts are moved and taken out, and slots nobody names go with them', () => {
		const draft = structuredClone(garland) as RecipeDraft;
		const [first] = runOf(garland).mix;
		movePart(draft, first!.id, 1);
		expect(runOf(draft as Recipe).mix[1]!.id).toBe(first!.id);
		for (const { id } of [...runOf(draft as Recipe).mix]) removePart(draft, id);
		expect(runOf(draft as Recipe).mix).toEqual([]);
		const woven = structuredClone(wall) as RecipeDraft;
		movePart(woven, weaveOf(wall).rows[0]!.id, 1);
		expect(weaveOf(woven as Recipe).rows.map((r) => r.repeat)).toEqual([1, 2]);
	});
	test('a slot left out takes its rows, its share of a mix, its infill and its blocks along', () => {
		const without = omittingSlots(garland, new Set([slot(garland, 'red')]));
		expect(runOf(without).mix[0]!.colours).toHaveLength(1);
		expect(runOf(without).infill).toHaveLength(1);
		expect(runOf(without).rows[0]!.cluster.places).toHaveLength(1);
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(without))).success).toBe(true);
		const bare = omittingSlots(wall, new Set([slot(wall, 'red'), slot(wall, 'gold')]));
		expect(weaveOf(bare).rows).toMatchObject([{ blocks: [{ count: 4 }, { count: 2 }] }]);
		expect([weaveOf(bare).joiner, weaveOf(bare).handle]).toEqual([null, null]);
	});
	test('twice as large a run is twice as long, its balloons as they were', () => {
		const { recipe, notes } = scaleBy(garland, 2);
		expect(runOf(recipe).path).toMatchObject({ points: [[0, 0], [8 * 304_800, -3 * 304_800], [16 * 304_800, 7 * 304_800]] }); // prettier-ignore
		expect(runOf(recipe).mix).toEqual(runOf(garland).mix);
		expect(notes.join()).toMatch(/longer or shorter/);
	});
	test('a size of an arch is its height, of a line its length; more balloons, none of them larger', () => {
		const pumps: never[] = [];
		const arch = made('run arch', 'arch 8 ft by 7 ft', '4 11 at 9 white');
		const taller = toHeight(arch, 8 * 304.8, pumps).recipe;
		expect(runOf(taller).path).toMatchObject({ rise: 8 * 304_800, span: inches(109.75) });
		expect(runOf(taller).rows).toEqual(runOf(arch).rows);
		// What was said first is what a size is the size of: a plinth beside a frame stays as it is.
		const mixed = made('run arch', 'arch 8 ft by 7 ft', '4 11 at 9 white', 'section plinth right of arch', '4 16 at 12 grey'); // prettier-ignore
		const grown = toHeight(mixed, 8 * 304.8, pumps).recipe;
		expect(leadSize(grown).mm).toBeCloseTo(8 * 304.8, 0);
		expect(grown.sections[1]).toEqual(mixed.sections[1]);
		const column = made('4 11 at 9 white x8', 'run arch', 'arch 8 ft by 7 ft', '4 11 at 9 white');
		expect(leadingSection(column)?.structure.kind).toBe('stack');
		const level = made('run line', 'line 10 ft', '4 11 at 9 white');
		expect(runOf(scaleToHeight(level, 12 * 304.8, pumps).recipe).path).toMatchObject({
			length: 12 * 304_800
		});
	});
	test('materials of spine, hooks and connectors are named, and renamed', () => {
		expect([...namesIn(garland).materials].sort()).toEqual(['soft line', 'wall hook']);
		const renamed = remap(garland, { colours: new Map(), materials: new Map([['soft line', 'rope']]), designs: new Map() }); // prettier-ignore
		expect(runOf(renamed).spine).toMatchObject({ material: 'rope' });
	});
	test('the plan knows every part: its work adds up to the work of the tally', () => {
		for (const recipe of [garland, wall]) {
			const t = tally(recipe, null, 1, { catalogue: stock, rates, library: () => undefined });
			expect(t.tasks.length).toBeGreaterThan(3);
			expect(t.findings.every((f) => f.level !== 'bad')).toBe(true);
		}
	});
});

describe('a path that is dragged', () => {
	test('every kind has a path of about the room there was, and what is dragged can be said', () => {
		for (const kind of DRAWN_KINDS) {
			const path = pathAs(kind, 2400, 2100);
			expect(kindOf(path)).toBe(kind);
			expect(parse(garland, printPath(path, garland))).toMatchObject({ ok: true });
		}
	});
	test('a grip moved goes where it was moved to, to the inch, and never to nothing', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...DRAWN_KINDS),
				fc.integer({ min: -200, max: 200 }),
				fc.integer({ min: -200, max: 200 }),
				(kind, x, z) => {
					const path = pathAs(kind, 2400, 2100);
					for (const grip of gripsOf(path, { x: 0, z: 0 })) {
						const moved = dragged(path, grip.index, { x: x * 25.4, z: z * 25.4 });
						const [after] = gripsOf(moved, { x: 0, z: 0 }).slice(grip.index);
						const far = grip.ways === 'across' ? x : z;
						const was = grip.ways === 'across' ? grip.x : grip.z;
						if (grip.ways !== 'both' && kind !== 'corners' && was / 25.4 + far > 3)
							expect(grip.ways === 'across' ? after!.x : after!.z).toBeCloseTo(was + far * 25.4, 6);
						expect(parse(garland, printPath(moved, garland))).toMatchObject({ ok: true });
					}
				}
			)
		);
	});
});

describe('a garland that was counted back', () => {
	const context = { catalogue: stock, rates, library: () => undefined };
	test.each([
		['as it was', (n: number) => n],
		['a few more, a few fewer', (n: number) => n + (n % 2 === 0 ? 7 : -3)],
		['half as much again', (n: number) => Math.round(n * 1.5)]
	])('%s: the version made of it takes exactly that', (_, change) => {
		const recipe = made(
			'run garland',
			'line 7 ft',
			'70 % 5 at 4½ of 2 white / 1 red',
			'30 % 11 at 9 of gold'
		);
		const lines = countLines(recipe, { colourway: null, size: null, quantity: 1 }, context);
		const counts = new Map(lines.flatMap((l) => (l.what === 'balloon' ? [[l.key, change(l.recipe.valueOf())] as const] : []))); // prettier-ignore
		const { recipe: done, left } = asCounted(recipe, { colourway: null, counts }, context, counter('m'));
		expect(left).toEqual([]);
		const after = countLines(done, { colourway: null, size: null, quantity: 1 }, context);
		for (const line of after)
			if (line.what === 'balloon') expect(line.recipe.valueOf()).toBe(counts.get(line.key));
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(done))).success).toBe(true);
		if (change(10) !== 10) expect(runOfFirst(done).organic).toMatchObject({ by: 'by the foot', taught: { length: 7 * 304_800 } }); // prettier-ignore
	});
});
const runOfFirst = (recipe: Recipe) => recipe.sections[0]!.structure as Run;

test('what a refusal says to type instead can be typed', () => {
	const quoted = (say: string) => [...say.matchAll(/like “([^”]+)”/g)].map((m) => m[1]!);
	const wrong = (recipe: Recipe, ...texts: string[]) =>
		texts.flatMap((text) => {
			const entry = parse(recipe, text);
			return entry.ok ? [] : quoted(entry.say);
		});
	const runs = wrong(garland, 'line x', 'arch 8 ft', 'corners right', 'helix 1 ft', 'curve 1 by', 'tee at', 'fullness x', 'infill x', 'hung on air', 'spare x', '7 ft took', '30 % 5 at 4'); // prettier-ignore
	expect(runs.length).toBeGreaterThan(8);
	// Pieces of a line are whole where the line they belong to is said.
	const whole = runs.filter((t) => !/^(of|every|tails|apart|at) /.test(t)).map((t) => t.replace('blue', 'red').replace('decorating strip', 'soft line')); // prettier-ignore
	for (const text of whole) expect([text, parse(garland, text)]).toMatchObject([text, { ok: true }]);
	const weaves = wrong(wall, 'panel of', 'base of 10 links at 9', 'held x', 'bent x', 'handle of', 'row x'); // prettier-ignore
	expect(weaves.length).toBeGreaterThan(4);
	for (const text of weaves.map((t) => t.replace('blue', 'red')))
		expect([text, parse(wall, text)]).toMatchObject([text, { ok: true }]);
});
