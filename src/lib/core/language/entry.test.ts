import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { counter, design, entryContext } from '../../../../tests/kit/studio.ts';
import { inches } from '../units/length.ts';
import { buildLayer } from '../structures/kit/build-layer.ts';
import { stackIn } from '../structures/stack/edit.ts';
import type { Layer } from '../structures/stack/document.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { parseEntry } from './read.ts';
import { printLayer } from '../structures/stack/print.ts';

const empty = design('empty');
const column = design('column', '4 16 at 13 grey', '4 11 at 9 white', '4 11 at 9 gold');
const parse = (text: string, recipe: Recipe = column) => parseEntry(text, entryContext(recipe));
const say = (text: string, recipe?: Recipe) => {
	const parsed = parse(text, recipe);
	return parsed.ok ? 'read' : parsed.say;
};
/** A layer without its ids: what round-tripping must keep. */
const bare = (layer: Layer) => JSON.parse(JSON.stringify(layer, (key, v) => (key === 'id' ? undefined : v)));
const layerOf = (text: string, recipe: Recipe = column): Layer => {
	const parsed = parse(text, recipe);
	if (!parsed.ok || parsed.value.kind !== 'layer') throw new Error(text);
	return buildLayer(parsed.value.layer, 0.8, counter('new')).layer;
};

describe('the entry line reads what a maker says', () => {
	const six = layerOf('6 11 at 10.5 gold');
	test.each([
		'six elevens at ten and a half gold',
		'6 × 11 at 10½ gold',
		'6x11 at 10 1/2 hive gold',
		'6 11 10.5 go'
	])('%s', (text) => expect(bare(layerOf(text))).toEqual(bare(six)));
	test.each([
		['a quad of elevens at nine white', '4 11 at 9 white'],
		['four 11s at 9" white', '4 11 at 9 white'],
		['two quads of elevens at 9 white', '4 11 at 9 white x2'],
		['three duplets of fives at 4½ gold', '2 5 at 4.5 gold x3'],
		['4 11 at 9 white, times two', '4 11 at 9 white x2'],
		['a pair of fives at four and a half white', '2 5 at 4.5 white']
	])('%s is %s', (spoken, short) => expect(bare(layerOf(spoken))).toEqual(bare(layerOf(short))));
	test('the short form is under 20 keystrokes with Enter', () =>
		expect('6 11 at 10.5 gold'.length + 1).toBeLessThan(20));
	test('sizes: a value, a range, strokes, a word, nothing said', () => {
		const size = (text: string) => layerOf(text).clusters[0]!.places[0]!.size;
		expect(size('4 11 at 9 white')).toEqual({ kind: 'value', um: inches(9), unit: 'in', origin: 'typed' });
		expect(size('4 11 at 8 to 9 white')).toMatchObject({ kind: 'range', low: inches(8), high: inches(9) });
		expect(size('4 5 at 4 strokes white')).toMatchObject({ kind: 'strokes', strokes: 4, pump: null });
		expect(size('4 11 at soft white')).toMatchObject({ kind: 'word', word: 'soft' });
		expect(size('4 11 at by look white')).toMatchObject({ kind: 'word', word: 'by look' });
		expect(size('4 11 white')).toEqual({ kind: 'unknown' });
	});
	test('repeats, patterns, sides, joinings, unlike clusters', () => {
		expect(layerOf('4 11 at 9 white x15').repeat).toBe(15);
		expect(layerOf('4 11 at 9 spiral left white / gold').clusters[0]!.pattern).toMatchObject({
			kind: 'spiral',
			hand: 'left'
		});
		expect(layerOf('4 11 at 9 blocks 2 white / 1 gold').clusters[0]!.pattern).toMatchObject({
			blocks: [{ rings: 2 }, { rings: 1 }]
		});
		expect(layerOf('4 11 at 9 white + 2 5 at 4 gold front tier 1').clusters[1]).toMatchObject({
			side: 'front',
			tier: 1
		});
		expect(layerOf('4 11 at 9 white joined modelling balloon').joining).toBe('modelling balloon');
		expect(layerOf('4 11 at 9 white straight').turn).toBe('none');
	});
	test('fill to height: 4 nines to 5 ft are 10 layers', () =>
		expect(layerOf('4 9 at 9 white to 5 ft').repeat).toBe(10));
	test('a colour of the Stockroom makes its slot; a slot already filled with it is used', () => {
		const built = (text: string, recipe: Recipe) => {
			const parsed = parse(text, recipe);
			return parsed.ok && parsed.value.kind === 'layer'
				? buildLayer(parsed.value.layer, 0.8, counter('n')).newSlots
				: [];
		};
		expect(built('4 11 at 9 gold', empty)).toMatchObject([{ slot: { name: 'gold' }, colour: 'gold' }]);
		expect(built('4 11 at 9 hive', column)).toEqual([]);
	});
	test('a colour with a hyphen in its name is found by the half that is typed', () => {
		const context = entryContext(column);
		const navy = { ...context.colours[0]!, id: 'navy', name: 'lamp-out navy' };
		const parsed = (text: string) => parseEntry(text, { ...context, colours: [...context.colours, navy] });
		for (const said of ['lamp-out', 'lamp out', 'out navy', 'lamp-out navy'])
			expect(parsed(`4 11 at 9 ${said}`)).toMatchObject({
				value: { layer: { clusters: [{ pattern: { colours: [{ ref: { colour: 'navy' } }] } }] } }
			});
		expect(parsed('4 11 at 9 lamp-in').ok).toBe(false);
	});
	test('a bag nobody else sells is one where the Stockroom lists it', () => {
		const context = entryContext(column);
		const seven = { ...context.materials[0]!, id: '7', nominal: inches(7) };
		expect(parseEntry('4 7 at 5 white', context)).toMatchObject({ ok: false });
		expect(
			parseEntry('4 7 at 5 white', { ...context, materials: [...context.materials, seven] })
		).toMatchObject({
			value: { layer: { clusters: [{ nominal: inches(7) }] } }
		});
	});
	test('uprights and extras', () => {
		expect(parse('pole 7 ft')).toMatchObject({
			value: { kind: 'upright', upright: { kind: 'pole', length: inches(84) } }
		});
		expect(parse('no pole')).toMatchObject({ value: { upright: { kind: 'none' } } });
		expect(parse('2 fairy')).toMatchObject({
			value: { kind: 'lines', lines: [{ material: 'fairy lights', quantity: '2', range: null }] }
		});
	});
});

describe('what is printed parses back to the same layer', () => {
	const slots = ['white', 'gold', 'grey'];
	const anyPattern = fc.oneof(
		fc.constantFrom(...slots),
		fc.constantFrom(
			'white / gold',
			'spiral right white / gold / grey',
			'checker white / grey',
			'rings gold / white',
			'blocks 2 white / 3 gold'
		)
	);
	const anySize = fc.oneof(
		fc.integer({ min: 20, max: 84 }).map((e) => ` at ${e / 8}`),
		fc.constantFrom('', ' at soft', ' at 7 to 8½', ' at 12 strokes')
	);
	const cluster = fc
		.tuple(fc.integer({ min: 1, max: 8 }), anySize, anyPattern, fc.constantFrom('', ' front', ' left tier 1'))
		.map(([n, size, colour, side]) => `${n} 11${size} ${colour}${side}`);
	const line = fc
		.tuple(
			fc.array(cluster, { minLength: 1, maxLength: 3 }),
			fc.integer({ min: 1, max: 40 }),
			fc.constantFrom('', ' straight', ' joined necks')
		)
		.map(([clusters, repeat, tail]) => `${clusters.join(' + ')} x${repeat}${tail}`);
	test('for any layer the grammar can say', () => {
		fc.assert(
			fc.property(line, (text) => {
				const layer = layerOf(text);
				expect(bare(layerOf(printLayer(layer, column.slots)))).toEqual(bare(layer));
			})
		);
	});
	test('as it stands on the row', () => {
		expect(stackIn(column)!.layers.map((l) => printLayer(l, column.slots))).toEqual([
			'4 × 16 at 13 grey',
			'4 × 11 at 9 white',
			'4 × 11 at 9 gold'
		]);
	});
});

describe('nonsense gets a sentence of its own', () => {
	test.each([
		['', /Start with how many/],
		['hello there', /Start with how many/],
		['-4 11 at 9 white', /cannot be negative/],
		['4 11 at -9 white', /cannot be negative/],
		['4000 11 at 9 white', /1 to 12/],
		['4.5 11 at 9 white', /whole number/],
		['4 7 at 5 white', /no 7 in round/],
		['6 11 at 14 gold', /cannot be sized to 14 in.*Take a 16/],
		['6 36 at 80 gold', /No round comes that large/],
		['6 11 at 1 gold', /next to nothing/],
		['4 11 at 9 plaid', /“plaid” is neither a slot.*nor a colour/],
		['4 11 at 9', /In which colour/],
		['4 11 at white', /Sized to what/],
		['4 11 at 9 white x999', /1 to 200/],
		['4 11 at 9 white x', /How many layers/],
		['4 11 at 9 white times', /How many layers/],
		['900 quads of elevens at 9 white', /1 to 200/],
		['4 11 at 9 white %%', /all but “% %”/],
		['4 11 at 9 to 8 white', /smaller size to the larger/],
		['pole', /how long the pole/],
		['pole 900 ft', /between 6 in and 100 ft/],
		['4 11 at 9 spiral white', /two colours or more/],
		['4 11 at 9 white joined glue', /Layers are joined/],
		['2 velvet', /Nothing in the Stockroom is called “velvet”/],
		['9'.repeat(2400), /too long/]
	])('%j', (text, sentence) => expect(say(text)).toMatch(sentence));
	test('never throws, whatever is typed', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 60 }), fc.constantFrom('', '4 11 at ', '6 '), (text, start) => {
				expect(parse(start + text)).toHaveProperty('ok');
			}),
			{ numRuns: 500 }
		);
	});
});
