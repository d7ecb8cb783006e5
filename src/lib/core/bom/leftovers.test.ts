import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { printLines } from '../language/print.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { rational } from '../units/rational.ts';
import { bill, type Bill } from './bill.ts';
import { countDesigns, explode } from './explode.ts';

const none = () => undefined;
const billed = (...recipes: Recipe[]): Bill =>
	bill(
		recipes.flatMap((recipe, line) => explode(countDesigns({ recipe, colourway: null, quantity: rational(1) }, none)).map((e) => ({ ...e, line }))),
		{ catalogue: studio, rules: rates.rules, defaultLoss: '0', service: 0.9 }
	); // prettier-ignore
const lights = (all: Bill) =>
	Object.fromEntries(all.lines.filter((l) => l.label === 'fairy lights').map((l) => [l.role, [l.used.valueOf(), l.toBuy]])); // prettier-ignore

describe('a second piece from what a first leaves over', () => {
	const first = design('first', '4 11 at 9 white', '5 fairy lights left over');
	test('takes what is left over, in one design or in two of a job; nothing is bought', () => {
		const second = design('second', '4 11 at 9 red', '3 fairy lights from leftovers');
		expect(lights(billed(first, second))).toEqual({ 'by-product': [2, 0], 'from leftovers': [3, 0] });
		const both = design('both', '4 11 at 9 red', '5 fairy lights left over', '5 fairy lights from leftovers');
		expect(lights(billed(both))).toEqual({ 'from leftovers': [5, 0] });
	});
	test('only the rest is bought; without a first piece all of it is', () => {
		const second = design('second', '4 11 at 9 red', '8 fairy lights from leftovers');
		expect(lights(billed(first, second))).toEqual({ 'from leftovers': [5, 0], always: [3, 3] });
		expect(lights(billed(second))).toEqual({ always: [8, 8] });
	});
	test('nothing comes from nowhere and nothing gets lost, whatever is left and needed (property)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 9 }),
				fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 3 }),
				fc.integer({ min: 0, max: 4 }),
				(left, wants, plain) => {
					const recipes = [
						design('a', '4 11 at 9 white', `${left} fairy lights left over`),
						...wants.map((n, i) => design(`b${i}`, '4 11 at 9 red', `${n} fairy lights from leftovers`)),
						...(plain > 0 ? [design('c', '4 11 at 9 red', `${plain} fairy lights`)] : [])
					];
					const all = billed(...recipes);
					const of = (role: string) => lights(all)[role]?.[0] ?? 0;
					const wanted = wants.reduce((a, b) => a + b, 0);
					expect(of('from leftovers')).toBe(Math.min(left, wanted));
					expect(of('by-product')).toBe(Math.max(0, left - wanted));
					expect(of('always')).toBe(plain + Math.max(0, wanted - left));
					for (const line of all.lines) {
						const byLine = [...line.byLine.values()].reduce((a, q) => a + q.valueOf(), 0);
						expect(byLine).toBeCloseTo(line.used.valueOf(), 9);
					}
				}
			),
			{ numRuns: 40 }
		);
	});
	test('it is printed and read back', () => {
		const second = design('second', '4 11 at 9 red', '3 fairy lights from leftovers');
		const printed = second.sections.flatMap((s) => printLines(s, second, (id) => studio.materials.get(id))).map((l) => l.text); // prettier-ignore
		expect(printed).toContain('3 fairy lights from leftovers');
	});
});
