import { describe, expect, test } from 'vitest';
import { colours, design, materials, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { resolve } from '../../recipe/resolve.ts';
import { tally } from '../../tally/tally.ts';
import { printLayer } from '../stack/print.ts';
import { stackIn } from '../stack/edit.ts';
import { setCount } from '../stack/row-fields.ts';
import type { Cluster } from '../../document/cluster.ts';
import type { Mutable } from '../../document/mutable.ts';
import { needsOf } from '../registry/count.ts';
import type { Recipe } from '../../recipe/recipe.ts';

const context = { catalogue: catalogue(materials, colours), rates, library: () => undefined };
const counted = (recipe: Recipe) => {
	const { recipe: built } = resolve(recipe, { colourway: null, size: null });
	return needsOf(built.sections[0]!.structure, built.colourways[0]);
};
const litres = (line: string): number =>
	counted(design('weight', line)).reduce(
		(a, n) => (n.what === 'count' && n.of.startsWith('litre') ? a + n.quantity.valueOf() : a),
		0
	);
const tasks = (line: string) =>
	Object.fromEntries(tally(design('piece', line), null, 1, context).tasks.map((t) => [t.task, t.count]));
const used = (line: string) =>
	tally(design('piece', line), null, 1, context)
		.bill.lines.filter((l) => l.balloon)
		.reduce((a, l) => a + l.used.valueOf(), 0);
const printed = (line: string) =>
	printLayer(stackIn(design('piece', line))!.layers[0]!, design('piece', line).slots);

describe('so much of it', () => {
	test('200 g of dry sand are an eighth of a litre (1.6 kg a litre, common practice); ounces are 28.35 g', () => {
		expect(litres('1 11 at 9 white filled with 200 g sand')).toBeCloseTo(0.125, 3);
		expect(litres('1 11 at 9 white filled with 7 oz sand')).toBeCloseTo((7 * 28.3495) / 1600, 3);
	});
	test('a 9-inch ball takes π/6 · 22.86³ = 6.26 L, half of it half of that', () => {
		const full = litres('1 11 at 9 white filled with water');
		expect(full).toBeCloseTo(6.26, 1);
		expect(litres('1 11 at 9 white ½ filled with water')).toBeCloseTo(full / 2, 1);
	});
	test('a few marbles by the piece; a filled balloon in a balloon', () => {
		expect(litres('1 11 at 9 white filled with 5 marbles')).toBeCloseTo(5 * 0.0036, 3);
		expect(litres('1 11 at 9 white filled with 5 at 2 red filled with sand')).toBeLessThan(0.1);
		expect(tasks('1 11 at 9 white filled with 5 at 2 red filled with sand')).toMatchObject({
			'fill weight': 1,
			'put inside': 1
		});
	});
	test.each([
		'11 at 9 white filled with 200 g sand',
		'11 at 9 white ½ filled with sand',
		'11 at 9 white filled with 5 marbles',
		'11 at 9 white filled with 5 at 2 red filled with sand',
		'11 at 9 white painted dots neck cut'
	])('“%s” is printed as it is said and read back', (said) => {
		expect(printed(`4 ${said}`)).toBe(`4 × ${said}`);
		expect(printed(printed(`4 ${said}`))).toBe(`4 × ${said}`);
	});
	test('nonsense is refused in words', () => {
		expect(() => design('x', '1 11 at 9 white filled with 200 sand')).toThrow('in grams or litres');
		expect(() => design('x', '1 11 at 9 white filled with sand filled with water')).toThrow('one thing');
		expect(() => design('x', '1 11 at 9 white filled with 90 kg sand')).toThrow('does not go into a balloon');
	});
});

describe('one balloon in two bubbles', () => {
	test('two balloons make a cluster of four bubbles: two are bought, filled, tied and twisted', () => {
		const recipe = design('piece', '2 11 at 5 white twisted in two');
		expect(stackIn(recipe)!.layers[0]!.clusters[0]!.places).toHaveLength(4);
		expect(used('2 11 at 5 white twisted in two')).toBe(2);
		expect(tasks('2 11 at 5 white twisted in two')).toMatchObject({ tie: 2, twist: 2 });
		expect(printed('2 11 at 5 white twisted in two')).toBe('2 × 11 at 5 white twisted in two');
		expect(tally(recipe, null, 1, context).bill.inflate[0]!.label).toContain('two bubbles of 5');
	});
	test('it lies as four balls of that size do, and weighs on the bag as one: 5-inch bubbles are no pear of an 11', () => {
		const codes = (line: string) =>
			tally(design('piece', line), null, 1, context).findings.map((f) => f.code);
		expect(codes('4 11 at 5 white')).toContain('pear-shaped');
		expect(codes('2 11 at 5 white twisted in two')).not.toContain('pear-shaped');
		expect(codes('2 11 at 10½ white twisted in two')).toContain('size-refused');
	});
	test('by hand one more or one less is a whole balloon: two bubbles', () => {
		const cluster = () => structuredClone(stackIn(design('piece', '2 11 at 5 white twisted in two'))!.layers[0]!.clusters[0]!) as Mutable<Cluster>;
		const [more, less] = [cluster(), cluster()];
		let n = 0;
		setCount(more, 5, () => `new-${n++}`);
		setCount(less, 3, () => `new-${n++}`);
		expect([more.places.length, less.places.length]).toEqual([6, 2]);
	}); // prettier-ignore
	test('both are of one colour, and seven make too many', () => {
		expect(() => design('x', '2 11 at 5 white / red twisted in two')).toThrow('Both bubbles');
		expect(() => design('x', '7 11 at 5 white twisted in two')).toThrow('14 bubbles');
	});
	test('neck cut off: a cut each', () => expect(tasks('4 11 at 9 white neck cut')).toMatchObject({ cut: 4 }));
});
