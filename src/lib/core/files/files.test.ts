import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { counter, colours, design, materials } from '../../../../tests/kit/studio.ts';
import { newSection } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { LARGEST_FILE, readRecipeFile } from './bundle.schema.ts';
import { bundleOf, type Bundle } from './bundle.ts';
import { markOf, planImport, type Here } from './import-plan.ts';
import { namesIn, remap } from './remap.ts';

const stock = { colours, materials };
const column = design(
	'column',
	'4 11 at 10 white / red x3',
	'pole 7 ft',
	'2 fairy lights',
	'put 1 foil star as star on row 1 front with tie'
);
const using = (name: string, ...used: string[]): Recipe => {
	const own = design(name, '4 11 at 9 gold');
	return {
		...own,
		sections: [...own.sections, ...used.map((d, i) => newSection(`use${i}`, d, designUse(d)))]
	};
};
const bundle = (designs: Record<string, Recipe>): Bundle =>
	bundleOf(
		Object.entries(designs).map(([id, recipe]) => ({ id, recipe })),
		stock
	);
const nothing: Here = { colours: [], materials: [], designs: new Map() };
const plan = (file: Bundle, here: Here = nothing) => planImport(file, here, counter('fresh'));
const whats = (p: ReturnType<typeof plan>) => p.designs.map((d) => [d.from, d.what]);

describe('a file of designs', () => {
	const file = bundle({ column });
	test('carries what the designs name and no more, without what packs cost', () => {
		expect(file.materials.map((m) => m.id).sort()).toEqual([
			'11-red',
			'11-white',
			'fairy lights',
			'foil star'
		]);
		expect(file.colours.map((c) => c.id).sort()).toEqual(['gold', 'red', 'white']);
		expect(JSON.stringify(file)).not.toMatch(/pack|priceMinor|Quayside/);
	});
	test('reads back as it was written', () => {
		const read = readRecipeFile(JSON.stringify(file), counter());
		expect(read).toEqual({
			ok: true,
			bundle: JSON.parse(JSON.stringify(file)),
			misread: []
		});
	});
	test('an assorted bag brings its colours, under the ids they have here', () => {
		const of = ['red', 'white'].map((colour) => ({ colour, parts: 1, hex: '#ffffff' }));
		const bags = colours.map((c) => (c.id === 'gold' ? { ...c, of } : c));
		const own = bundleOf([{ id: 'a', recipe: design('a', '4 11 at 9 gold') }], { colours: bags, materials });
		expect(own.colours.map((c) => c.id).sort()).toEqual(['gold', 'red', 'white']);
		const read = readRecipeFile(JSON.stringify(own), counter());
		expect(read.ok && read.bundle.colours).toEqual(JSON.parse(JSON.stringify(own.colours)));
		const red = { ...colours.find((c) => c.id === 'red')!, id: 'red-here' };
		const { created } = plan(own, { ...nothing, colours: [red] }).colours;
		expect(created.find((c) => c.id === 'gold')!.of!.map((p) => p.colour)).toEqual(['red-here', 'white']);
	});
	test('one recipe by itself is a file too', () => {
		const read = readRecipeFile(JSON.stringify(column), () => 'own');
		expect(read.ok && read.bundle.designs).toEqual([{ id: 'own', recipe: column }]);
	});
	test('a recipe with a mistake is named and left out, the others are read', () => {
		const broken = { ...file, designs: [{ id: 'a', recipe: { ...column, sections: [] } }, ...file.designs] };
		const read = readRecipeFile(JSON.stringify(broken), counter());
		expect(read.ok && read.bundle.designs.map((d) => d.id)).toEqual(['column']);
		expect(read.ok && read.misread[0]).toMatchObject({
			name: 'column',
			say: expect.stringMatching(/^sections: /)
		});
	});
	const deep = `{"format":"bright-tally/recipe","version":4,"name":${'['.repeat(200)}${']'.repeat(200)}}`;
	test.each<[string, string, RegExp]>([
		['nothing', '', /empty/],
		['words', 'hello', /cannot be read as JSON/],
		['another thing', '{"name":"x"}', /does not say it is one/],
		['a list', '[]', /does not say it is one/],
		['another version', JSON.stringify({ ...column, version: 99 }), /mistake at version: /],
		['an unknown field', JSON.stringify({ ...column, colour: 'red' }), /Unrecognized key|colour/],
		[
			'a file of another version',
			JSON.stringify({ ...file, version: 2 }),
			/mistake at version: This file is of another version/
		],
		['no design', JSON.stringify({ ...file, designs: [] }), /There is no design in it/],
		[
			'two of one id',
			JSON.stringify({ ...file, designs: [...file.designs, ...file.designs] }),
			/have the id “column”/
		],
		['200 levels of nothing', deep, /mistake at name/],
		['a hundred thousand levels', '['.repeat(100_000), /cannot be read as JSON/],
		['too much', 'x'.repeat(LARGEST_FILE + 1), /over 30 MB/]
	])('%s is answered in words', (_, text, words) => {
		const read = readRecipeFile(text, counter());
		expect(read.ok).toBe(false);
		expect(read.ok ? '' : read.say).toMatch(words);
	});
	test('whatever JSON is in it, it is answered (property)', () => {
		fc.assert(fc.property(fc.json(), (text) => typeof readRecipeFile(text, counter()).ok === 'boolean'));
		const shaped = fc.record({
			format: fc.constantFrom('bright-tally/recipe', 'bright-tally/recipes'),
			version: fc.nat(5),
			designs: fc.jsonValue()
		});
		fc.assert(
			fc.property(shaped, (value) => typeof readRecipeFile(JSON.stringify(value), counter()).ok === 'boolean')
		);
	});
});

describe('what a file would bring', () => {
	const file = bundle({ gate: using('gate', 'column'), column });
	test('into an empty studio all of it, under its own ids', () => {
		const { designs, materials: m, colours: c } = plan(file);
		expect(designs.map((d) => [d.id, d.what, d.unknown])).toEqual([['gate', 'new', 0], ['column', 'new', 0]]); // prettier-ignore
		expect([m.matched, m.created.length, c.matched, c.created.length]).toEqual([
			0,
			file.materials.length,
			0,
			file.colours.length
		]);
	});
	test('what is here and the same is left; what differs comes as a copy, and so does what uses it', () => {
		const here = (recipe: Recipe): Here => ({
			...stock,
			designs: new Map([
				['gate', { name: 'gate', mark: markOf(using('gate', 'column')) }],
				['column', { name: 'column', mark: markOf(recipe) }]
			])
		});
		expect(whats(plan(file, here(column)))).toEqual([['gate', 'same'], ['column', 'same']]); // prettier-ignore
		const copied = plan(file, here({ ...column, notes: 'taller' }));
		expect(whats(copied)).toEqual([['gate', 'copy'], ['column', 'copy']]); // prettier-ignore
		const [gate, own] = copied.designs;
		expect(own!.id).not.toBe('column');
		expect([...namesIn(gate!.recipe).designs]).toEqual([own!.id]);
	});
	test('materials and colours are matched by name where ids differ, and recipes then name those', () => {
		const here: Here = {
			colours: colours.map((c) => ({ ...c, id: `my-${c.id}` })),
			materials: materials.map((m) => ({ ...m, id: `my-${m.id}` })),
			designs: new Map()
		};
		const done = plan(file, here);
		expect([done.materials.created, done.colours.created]).toEqual([[], []]);
		const named = namesIn(done.designs[1]!.recipe);
		expect([...named.materials].sort()).toEqual(['my-fairy lights', 'my-foil star']);
		expect([...named.colours].every((c) => c.startsWith('my-'))).toBe(true);
	});
	test('an id that means something else here gets another', () => {
		const here: Here = {
			colours: [{ ...colours[0]!, id: 'red', name: 'tar' }],
			materials: [],
			designs: new Map()
		};
		const done = plan(bundle({ column }), here);
		const red = done.colours.created.find((c) => c.name === 'buoy red')!;
		expect(red.id).not.toBe('red');
		expect(namesIn(done.designs[0]!.recipe).colours.has(red.id)).toBe(true);
		expect(done.materials.created.find((m) => m.name === '11 in round, red')!.colour).toBe(red.id);
	});
	test('what it names and nobody has is counted', () => {
		const alone = { ...bundle({ gate: using('gate', 'column') }), materials: [] };
		expect(plan(alone).designs[0]!.unknown).toBe(1);
	});
	test('a design that contains itself is refused with its path, the others come', () => {
		const round = bundle({ a: using('a', 'b'), b: using('b', 'c'), c: using('c', 'a'), d: using('d') });
		const done = plan(round);
		expect(whats(done)).toEqual([['a', 'refused'], ['b', 'refused'], ['c', 'refused'], ['d', 'new']]); // prettier-ignore
		expect(done.designs[0]!.say).toBe('It contains itself: a > b > c > a.');
	});
	test('two hundred designs, each in the next, come in', () => {
		const chain = Object.fromEntries(
			Array.from({ length: 200 }, (_, i) => [`d${i}`, using(`d${i}`, ...(i < 199 ? [`d${i + 1}`] : []))])
		);
		expect(plan(bundle(chain)).designs.filter((d) => d.what === 'new')).toHaveLength(200);
	});
	test('giving everything its own name changes nothing but which version a part was counted with', () => {
		const none = { colours: new Map(), materials: new Map(), designs: new Map() };
		expect(remap(column, none)).toEqual(column);
		expect(markOf(using('gate', 'column'))).not.toBe(markOf(using('gate', 'hive')));
	});
});
