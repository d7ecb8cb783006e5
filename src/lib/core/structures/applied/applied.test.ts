import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../../tests/kit/studio.ts';
import { placeLayers } from '../../geometry/layers.ts';
import { piecesIn } from './edit.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { drawAssembly } from '../../scene/draw-list.ts';
import { tally } from '../../tally/tally.ts';
import { assemble } from '../../assembly/assemble.ts';

const IN = 25.4;
const none = () => undefined;
const count = (recipe: Recipe) => tally(recipe, null, 1, { catalogue: studio, rates, library: none });
/** A column of quads with what is said put on it. */
const made = (...lines: string[]) => {
	const recipe = design('figure', '4 11 at 10 white', '4 11 at 10 white', '1 11 at 10 gold', ...lines);
	expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(recipe))).error?.issues ?? []).toEqual([]);
	return recipe;
};
const seats = (recipe: Recipe) =>
	assemble(recipe, null, none).applied.flatMap(({ balls }) =>
		balls.map(({ ball, hides }) => ({ x: ball.x / IN, y: ball.y / IN, z: ball.z / IN, hides }))
	);

describe('where pieces sit, by hand (inches)', () => {
	test('two eyes on the front of a ball of 10: side by side, touching it and each other', () => {
		const [left, right] = seats(made('put 2 5 at 4 white as eyes on row 3 front with strip'));
		// On the axis the ball reaches 5; pieces of 4 stand at 7 from it, 2 to either side.
		expect([left!.x, right!.x]).toEqual([expect.closeTo(-2, 9), expect.closeTo(2, 9)]);
		for (const eye of [left!, right!]) {
			expect(Math.hypot(eye.x, eye.y)).toBeCloseTo(7, 9);
			expect(eye.y).toBeLessThan(0);
			expect(eye.z).toBeCloseTo(eye.z, 9);
		}
		expect(left!.z).toBeCloseTo(right!.z, 9);
	});
	test('spots go evenly round, as many on each tier as said', () => {
		const recipe = made('put 4 5 at 3 red as spots on row 1 round, 3 on row 2 round with glue');
		const [first, second] = [seats(recipe).slice(0, 4), seats(recipe).slice(4)];
		// A quad of 10: centres at 7.0711, out to 12.0711, and 1½ more for a spot of 3.
		for (const { x, y, z } of first) {
			expect(Math.hypot(x, y)).toBeCloseTo(5 * Math.SQRT2 + 5 + 1.5, 6);
			expect(z).toBeCloseTo(5, 6);
		}
		expect(first.map((s) => Math.round((Math.atan2(s.y, s.x) * 180) / Math.PI))).toEqual([-90, 0, 90, 180]);
		expect(second).toHaveLength(3);
		expect(second[0]!.z).toBeCloseTo(5 + 0.8 * 10 * Math.sqrt(1 - 0.25 / Math.cos(Math.PI / 8) ** 2), 6);
	});
	test('what a piece covers: a star on the front of a ball hides that one; a small eye between two hides none', () => {
		expect(seats(made('put 1 foil star on row 3 front')).map((s) => s.hides)).toEqual([1]);
		// The quad below the head stands at −45° and −135°: nothing has its middle right behind the front.
		expect(seats(made('put 1 5 at 2 red on row 1 front')).map((s) => s.hides)).toEqual([0]);
	});
	test('a piece on a piece sits farther out; on a wall where it is said', () => {
		const recipe = made('put 1 foil star on row 3 front');
		const [{ piece }] = piecesIn(recipe) as [ReturnType<typeof piecesIn>[number]];
		const pupil = { ...piece, id: 'pupil', on: [{ host: { on: 'piece' as const, piece: piece.id }, count: 1 }], what: { kind: 'material' as const, material: 'patch', flat: null } }; // prettier-ignore
		const sections = recipe.sections.map((s) => s.structure.kind === 'applied' ? { ...s, structure: { ...s.structure, pieces: [pupil, piece] } } : s); // prettier-ignore
		const [under, over] = seats({ ...recipe, sections });
		expect(over!.y).toBeLessThan(under!.y);
		const [wall] = seats(made('put 1 foil star on wall at 5 ft'));
		expect(wall).toMatchObject({ x: 0, y: 0, z: 60 });
	});
	test('a section at a row of another stands off from that row, its lowest ball at the height of the row', () => {
		const recipe = made('section arm left of column at row 3', '1 11 at 8 white');
		const { pieces } = assemble(recipe, null, none);
		const [arm] = pieces.find((p) => p.stack.layers.length === 1)!.spots;
		const head = pieces[0]!.placed.layers[2]!;
		// The head of 10 on the axis reaches 5; the arm is a ball of 8. At the foot the quad would reach 12.07.
		expect(arm!.x / IN).toBeCloseTo(-(5 + 4), 9);
		expect(arm!.z + 4 * IN).toBeCloseTo(head.z, 9);
	});
});

describe('what pieces take', () => {
	test('the piece, its fixings by the rules, its minutes; a fixing without a rule is an open line, never nothing', () => {
		const recipe = made(
			'put 2 5 at 4 white as eyes on row 3 front with patch and strip',
			'each strip takes 3 patch'
		);
		const lines = Object.fromEntries(count(recipe).bill.lines.map((l) => [l.label, l.used.valueOf()]));
		expect(lines).toMatchObject({
			'5 rounds, gull white': 2,
			// Four floor contacts, and the design's own rule: 2 strips, 3 each.
			patch: 4 + 6,
			'for each tape patch, not chosen yet': 2
		});
		expect(count(recipe).tasks.find((t) => t.task === 'fix')).toMatchObject({ count: 2 });
		expect(count(recipe).cost.total.unknown).toContain('for each tape patch, not chosen yet');
	});
	test('pieces on a section that stands twice are counted twice, and drawn twice', () => {
		const recipe = design('d', '4 11 at 10 white', 'section arm x2 mirrored', '1 11 at 9 white', 'put 1 5 at 4 red on arm top row front'); // prettier-ignore
		expect(
			count(recipe)
				.bill.lines.find((l) => l.label === '5 rounds, buoy red')!
				.used.valueOf()
		).toBe(2);
		const drawn = drawAssembly(assemble(recipe, null, none), { catalogue: studio, view: 'front' });
		expect(drawn.discs).toHaveLength(4 + 2 + 2);
	});
	test('a row that goes leaves its pieces counted, and the checker says so', () => {
		const recipe = made('put 2 5 at 4 red as eyes on row 3 front');
		const lost = { ...recipe, sections: recipe.sections.map((s) => s.structure.kind === 'stack' ? { ...s, structure: { ...s.structure, layers: s.structure.layers.slice(0, 2) } } : s) }; // prettier-ignore
		expect(count(lost).findings.map((f) => f.code)).toContain('host-lost');
		expect(count(lost).bill.balloons).toBe(10);
	});
});

describe('a low side and the cluster that levels it, by hand (inches)', () => {
	const mm = (d: number) => d * IN;
	const pair = { diameters: [mm(6), mm(10)], side: 'all' as const, tier: 1 };
	const heights = (layer: ReturnType<typeof placeLayers>[number]) => layer.rings[0]!.map((b) => b.z / IN);
	test('a pair of 6 and 10 on the floor leans by atan(2 / 8)', () => {
		const [layer] = placeLayers([{ turn: 'half', rings: [pair] }], 1);
		expect(heights(layer!)).toEqual([expect.closeTo(3, 9), expect.closeTo(5, 9)]);
		expect(layer!.tilt).toBeCloseTo((Math.atan(2 / 8) * 180) / Math.PI, 6);
	});
	test('one ball of 2 under the small one lifts it to 2/2 + (2 + 6)/2 = 5: level', () => {
		// The small one is the first, at the right; rigid balls stand 1 + 4 over the floor on it.
		const level = { diameters: [mm(2)], side: 'right' as const, tier: 0 };
		const [layer] = placeLayers([{ turn: 'half', rings: [pair, level] }], 1);
		expect(heights(layer!)).toEqual([expect.closeTo(5, 9), expect.closeTo(5, 9)]);
		expect(layer!.tilt).toBeCloseTo(0, 9);
	});
	test('a place that looks to a side turns its ring', () => {
		for (const [side, x, y] of [
			['left', -1, 0],
			['back', 0, 1],
			['front', 0, -1]
		] as const) {
			// prettier-ignore
			const [layer] = placeLayers([{ turn: 'half', rings: [{ ...pair, facing: { place: 1, side } }] }], 1);
			const ball = layer!.rings[0]![1]!;
			expect([ball.x / mm(4), ball.y / mm(4)]).toEqual([expect.closeTo(x, 9), expect.closeTo(y, 9)]);
		}
	});
});
