import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { MEASURES, type SaidOf } from '../document/measure.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { inches } from '../units/length.ts';
import { colourWords, givenName } from './colour-words.ts';
import { heightSaid, heightWords } from './height.ts';
import { tally } from './tally.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const column = design('column', '4 11 at 10 white x6', '1 16 at 12 red', 'pole 6 ft');
const worked = (recipe: Recipe, of?: SaidOf, size: string | null = null) =>
	tally({ ...recipe, tall: of }, null, 1, context, size);
const said = (recipe: Recipe, of?: SaidOf) => heightSaid(worked(recipe, of), []);

describe('the height a design is called by', () => {
	test('clusters end below a single balloon on top; the pole is as long as it is; over all is the highest', () => {
		const { placed } = worked(column).stacks[0]!;
		// Six layers alike: layers × pitch, the trade's figure. DOMAIN: body.
		const pitch = placed.layers[1]!.z - placed.layers[0]!.z;
		expect(said(column, 'clusters').mm).toBeCloseTo(6 * pitch, 6);
		expect(said(column, 'pole')).toMatchObject({ mm: 1828.8, known: true, of: 'pole' });
		expect(said(column).mm).toBe(worked(column).assembly.overall.usual);
		expect(said(column).of).toBe('over all');
		expect(said(column, 'clusters').mm).toBeLessThan(said(column).mm);
	});
	test('a row of singles is a stack of clusters of one', () => {
		const singles = design('singles', '1 11 at 9 white x5');
		expect(said(singles, 'clusters').mm).toBeCloseTo(worked(singles).stacks[0]!.placed.body.usual, 6);
	});
	test('what has neither clusters nor a pole is said over all', () => {
		const bunch = design('bunch', 'bunch tops', '3 11 at 10 white');
		for (const of of MEASURES) expect(said(bunch, of).of).toBe('over all');
	});
	test('in words, with over all behind where that is another', () => {
		const tall = worked(column, 'pole');
		expect(heightWords(heightSaid(tall, []))).toBe('6′ 0″ of pole');
		expect(heightWords(heightSaid(tall, []), tall)).toMatch(/^6′ 0″ of pole, \d′ \d+″ over all$/);
		const open = worked(design('open', '4 11 white'));
		expect(heightWords(heightSaid(open, []))).toBe('— over all');
		expect(heightWords({ mm: 0, known: true, of: 'over all' })).toBe('');
	});
});

describe('a size is as tall as it says, said of what it says', () => {
	const sizes = (of?: SaidOf) => [
		{
			id: 's',
			name: 'tall',
			height: inches(96),
			by: 'layers' as const,
			swaps: {},
			parts: {},
			...(of && { of })
		}
	];
	test.each(MEASURES)('%s', (of) => {
		const tall = worked({ ...column, sizes: sizes(of) }, of, 's');
		const { mm } = heightSaid(tall, []);
		// As near as whole layers come: half a layer at the most.
		expect(Math.abs(mm - 2438.4)).toBeLessThan(254 / 2);
		const { upright } = tall.stacks[0]!.placed;
		if (of === 'pole') expect(Math.abs(upright.usual - 2438.4)).toBeLessThan(254 / 2);
	});
	test('one that does not say is of its rows, the one on top too', () => {
		const tall = worked({ ...column, sizes: sizes() }, undefined, 's');
		expect(Math.abs(tall.stacks[0]!.placed.body.usual - 2438.4)).toBeLessThan(254 / 2);
		expect(heightSaid(tall, [], 'rows').mm).toBe(tall.stacks[0]!.placed.body.usual);
	});
});

test('all colours of a design by their names; a colourway nobody named has none', () => {
	const three = design('three', '4 11 at 9 white', '4 11 at 9 red', '4 11 at 9 grey');
	const [way] = three.colourways;
	expect(colourWords(three, way!, studio)).toBe('gull white, buoy red and limpet grey');
	expect(colourWords(three, { ...way!, without: [three.slots[2]!.id] }, studio)).toBe(
		'gull white and buoy red'
	);
	expect(colourWords(design('one', '4 11 at 9 white'), design('one', '4 11 at 9 white').colourways[0]!, studio)).toBe('gull white'); // prettier-ignore
	expect(givenName(way!)).toBe('');
	expect(givenName({ name: 'honey' })).toBe('honey');
});
