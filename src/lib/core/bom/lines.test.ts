import { Matrix, solve } from 'ml-matrix';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { newSection } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import { chooseLine, linesIn } from '../structures/extras/edit.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally } from '../tally/tally.ts';
import { printSize } from '../sizing/size.ts';
import { rational } from '../units/rational.ts';
import { countDesigns } from './explode.ts';

const count = (recipe: Recipe) =>
	tally(recipe, null, 1, { catalogue: studio, rates, library: () => undefined });
const used = (recipe: Recipe) =>
	Object.fromEntries(count(recipe).bill.lines.map((l) => [`${l.label}/${l.role}`, l.used.valueOf()]));
const base = '4 11 at 9 white';
/** A changed copy: recipes never change. */
const changed = (recipe: Recipe, work: (d: RecipeDraft) => unknown): Recipe => {
	const draft = structuredClone(recipe) as RecipeDraft;
	work(draft);
	return draft as Recipe;
};

describe('lines that are more than a count', () => {
	test('optional: counted while it is taken', () => {
		const recipe = design('d', base, '1 fairy lights optional');
		expect(used(recipe)['fairy lights/always']).toBeUndefined();
		const taken = changed(recipe, (d) => (linesIn(d)[0]!.taken = true));
		expect(used(taken)['fairy lights/always']).toBe(1);
	});
	test('an alternative: one of them, the first until another is chosen; two at once disagree', () => {
		const recipe = design('d', base, '1 stand or 3 fairy lights');
		expect(used(recipe)).toMatchObject({ 'stand/always': 1 });
		expect(used(recipe)).not.toHaveProperty('fairy lights/always');
		const other = changed(recipe, (d) => chooseLine(d, linesIn(d)[1]!.id));
		expect(used(other)).toMatchObject({ 'fairy lights/always': 3 });
		const both = changed(recipe, (d) => linesIn(d).forEach((l) => (l.taken = true)));
		const finding = count(both).findings.find((f) => f.code === 'conflict')!;
		expect(finding.say).toMatch(/both stand and fairy lights are taken/);
		expect(finding.remedy).toMatchObject({ act: { kind: 'choose' } });
	});
	test('an estimate: the middle is counted, its ends are what the cost may come to', () => {
		const { cost, bill } = count(design('d', base, '2 to 4 fairy lights'));
		const line = bill.lines.find((l) => l.label === 'fairy lights')!;
		expect([line.used, line.estimate!.low, line.estimate!.high].map((v) => v.valueOf())).toEqual([3, 2, 4]);
		// One more or one less at 6.50.
		expect(cost.spread).toMatchObject({ less: { minor: 650 }, more: { minor: 650 } });
		expect(count(design('d', base)).cost.spread).toBeNull();
	});
	test.each([
		['taken along', 1],
		['reused', 0],
		['left over', 0]
	])('%s: on the list, no part of the cost', (role, toBuy) => {
		const [plain, more] = [design('d', base), design('d', base, `1 fairy lights ${role}`)].map(count);
		expect(more!.bill.lines.find((l) => l.label === 'fairy lights')).toMatchObject({ toBuy });
		expect(more!.cost.materialsTotal).toEqual(plain!.cost.materialsTotal);
		expect(more!.cost.aside.map((l) => [l.label, l.amount?.minor])).toEqual([['fairy lights', 650]]);
	});
	test('two lines of one thing for one section that say two numbers disagree', () => {
		const recipe = design('d', base, '2 fairy lights', '3 fairy lights');
		const serving = changed(recipe, (d) => linesIn(d).forEach((l) => (l.serves = [recipe.sections[0]!.id])));
		expect(count(serving).findings.map((f) => f.code)).toContain('conflict');
	});
	test('a rule of the design stands in for the workspace’s of that count, and for no other', () => {
		const recipe = design('d', base, 'each floor contact takes 2 patch');
		expect(used(recipe)['patch/always']).toBe(8);
		expect(count(recipe).bill.lines.find((l) => l.label === 'patch')!.toBuy).toBe(8);
	});
});

describe('what is out of all measure is refused by size, with its place, at once', () => {
	const first = (recipe: Recipe, library: (id: string) => Recipe | undefined = () => undefined) => {
		const from = Date.now();
		const [finding] = tally(recipe, null, 1, { catalogue: studio, rates, library }).findings;
		expect(Date.now() - from).toBeLessThan(1000);
		return finding!;
	};
	test('a line of a thousand million', () => {
		const recipe = changed(
			design('Heap', base, '1 fairy lights'),
			(d) => (linesIn(d)[0]!.quantity = '1000000000')
		);
		expect(first(recipe)).toMatchObject({ code: 'too-many', level: 'bad' });
		expect(first(recipe).say).toContain('more than 1,000,000 pieces in Heap');
	});
	test('sixty designs that each use the next twice, with one light at the end of it', () => {
		const level = (i: number): Recipe => ({ ...design(`level ${i}`), sections: [newSection('s', 'next', designUse(`${i + 1}`, '2'))] }); // prettier-ignore
		const library = (id: string) =>
			Number(id) < 60 ? level(Number(id)) : design('the light', '1 fairy lights');
		expect(first(level(0), library).say).toMatch(
			/more than 1,000,000 pieces in level 0, counted up to the light/
		);
	});
	test('a size option that leads back to the design itself is a cycle, with its way', () => {
		const loop = { ...design('Loop', base), sections: [...design('Loop', base).sections, newSection('s', 'part', designUse('part'))] }; // prettier-ignore
		const sized: Recipe = { ...loop, sizes: [{ id: 'z', name: 'z', height: null, by: 'layers', swaps: { s: 'loop' }, parts: {} }] }; // prettier-ignore
		const library = (id: string) => (id === 'loop' ? { ...loop, sections: [newSection('s', 'part', designUse('loop'))] } : design('Part', base)); // prettier-ignore
		const { findings } = tally(sized, null, 1, { catalogue: studio, rates, library }, 'z');
		expect(findings[0]).toMatchObject({ code: 'cycle' });
		expect(tally(sized, null, 1, { catalogue: studio, rates, library }).findings.map((f) => f.code)).not.toContain('cycle'); // prettier-ignore
	});
});

describe('what is not known is carried as what it is', () => {
	test.each([
		['4 5 at 4 strokes white', '4 strokes', false],
		['4 11 at soft white', 'soft', true],
		['4 11 at 8 to 9 white', '8–9', true],
		['4 11 white', '—', false]
	])('%s', (line, printed, known) => {
		const counted = count(design('d', line));
		expect(counted.bill.inflate.map((l) => printSize(l.size))).toEqual([printed]);
		expect(counted.assembly.overall.known).toBe(known);
		expect(counted.bill.balloons).toBe(4);
	});
	test('a slot that is never filled is an open line of unknown cost, in every size', () => {
		const open = changed(
			design('d', '4 11 at 9 white x4', 'size 5 ft'),
			(d) => (d.colourways[0]!.fills = {})
		);
		for (const size of [null, open.sizes[0]!.id]) {
			const { cost, findings } = tally(
				open,
				null,
				1,
				{ catalogue: studio, rates, library: () => undefined },
				size
			);
			expect(cost.total.unknown).toEqual(['11 rounds, white (open)']);
			expect(findings.map((f) => f.code)).toContain('open-slot');
		}
	});
});

/**
 * How many of each design there are, x = (I − Uᵀ)⁻¹ e with U the uses: the input-output model (published: Leontief 1936,
 * from memory), solved by a general linear algebra library.
 */
describe('nested explosion against a matrix solution', () => {
	test('any nest without a cycle comes to the same counts', () => {
		const uses = fc.array(fc.array(fc.nat(3), { minLength: 7, maxLength: 7 }), {
			minLength: 7,
			maxLength: 7
		});
		fc.assert(
			fc.property(uses, (table) => {
				const n = table.length;
				const designs = table.map((row, i): Recipe => ({
					...design(`d${i}`, base),
					sections: [
						...design(`d${i}`, base).sections,
						// Only later designs are used: no cycle. One use of each half is said as the times of its section.
						...row.flatMap((times, j) =>
							j > i && times > 0
								? [{ ...newSection(`u${j}`, `d${j}`, designUse(`d${j}`, '1/2')), times }]
								: []
						)
					]
				}));
				const library = (id: string) => designs[Number(id.slice(1))];
				const wanted = { recipe: designs[0]!, colourway: null, quantity: rational(2) };
				const counts = new Map(
					countDesigns(wanted, library).map((c) => [c.recipe.name, c.quantity.valueOf()])
				);
				const identity = Matrix.eye(n, n);
				const used = new Matrix(table.map((row, i) => row.map((times, j) => (j > i ? times / 2 : 0))));
				const solution = solve(
					Matrix.sub(identity, used.transpose()),
					Matrix.columnVector([2, ...Array<number>(n - 1).fill(0)])
				);
				for (let i = 0; i < n; i++) expect(counts.get(`d${i}`) ?? 0).toBeCloseTo(solution.get(i, 0), 6);
			}),
			{ numRuns: 60 }
		);
	});
});
