import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { WAYS } from '../../document/host.ts';
import { sayRecipe } from '../../compare/say-recipe.ts';
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
		// A quad of 10 has its centres 5 out and 5 aside; a spot of 3 rests between two of them, 6½ from both.
		for (const { x, y, z } of first) {
			expect(Math.hypot(x, y)).toBeCloseTo(5 + Math.sqrt(6.5 ** 2 - 5 ** 2), 6);
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
	test('so many as it needs: bill, work and price have their ends, the picture what lies between', () => {
		const one = made('put 2 to 6 5 at 4 white as dots on row 3 round');
		const t = count(one);
		const line = t.bill.lines.find((l) => l.label === '5 rounds, gull white')!;
		expect([line.used.valueOf(), line.estimate?.low.valueOf(), line.estimate?.high.valueOf()]).toEqual([4, 2, 6]);
		expect(t.tasks.find((k) => k.task === 'fix')).toMatchObject({ count: 4, ends: { less: 2, more: 2 } });
		expect(t.assembly.applied.flatMap((a) => a.balls)).toHaveLength(4);
		expect(t.ends).not.toBeNull();
		// Three or five, said as makers say it; the fewest come first.
		expect(count(made('put 3 or 5 5 at 4 white as dots on row 3')).bill.lines.find((l) => l.label === '5 rounds, gull white')!.estimate?.high.valueOf()).toBe(5);
		expect(() => made('put 6 to 2 5 at 4 white on row 3')).toThrow(/fewest come first/);
	}); // prettier-ignore
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

const NAMES = ['dot', 'spot', 'button', 'nose', 'mole'];

describe('where on a ball, as the audience sees it (inches)', () => {
	const head = 'put 1 11 at 10 gold as head on row 3 front';
	const on = (...lines: string[]) => {
		const [ball, ...rest] = seats(made(head, ...lines));
		return rest.map((b) => ({ x: b.x - ball!.x, y: b.y - ball!.y, z: b.z - ball!.z }));
	};
	test('by hand: a ball of 4 on one of 10 is 7 away to the side that is said; the audience stands at negative y', () => {
		const at = (way: string) => on(`put 1 5 at 4 red as spot on head ${way}`)[0]!;
		const seven = expect.closeTo(7, 9) as number;
		const none = expect.closeTo(0, 9) as number;
		expect(at('up')).toEqual({ x: none, y: none, z: seven });
		expect(at('down').z).toBeCloseTo(-7, 9);
		expect(at('left').x).toBeCloseTo(-7, 9);
		expect(at('right').x).toBeCloseTo(7, 9);
		expect(at('front').y).toBeCloseTo(-7, 9);
		expect(at('back').y).toBeCloseTo(7, 9);
		const { x, y, z } = at('up left');
		expect([x, y, z].map((v) => v / 7)).toEqual([-1, -1, 1].map((v) => expect.closeTo(v / Math.sqrt(3), 9) as number));
	});
	test('on a balloon of a row too: the second of row 1, its top', () => {
		const recipe = made('put 1 5 at 4 red as spot on row 1 place 2 up');
		const [spot] = seats(recipe);
		const { placed } = tally(recipe, null, 1, { catalogue: studio, rates, library: none }).stacks[0]!;
		const under = placed.layers[0]!.rings[0]![1]!;
		expect([spot!.x, spot!.y, spot!.z]).toEqual([under.x / IN, under.y / IN, under.z / IN + 7].map((v) => expect.closeTo(v, 6) as number));
	});
	test('what is said is printed and read back, each way', () => {
		for (const way of WAYS) {
			const recipe = made(head, `put 1 5 at 4 red as spot on head ${way} with glue`, `put 1 5 at 4 red as dot on row 1 place 2 ${way}`);
			const said = sayRecipe(recipe, (id) => studio.materials.get(id)?.name ?? id);
			expect(said.filter((l) => l.endsWith(`on head ${way} with glue`) || l.includes(`place 2 ${way}`))).toHaveLength(2);
		}
	});
	test('a piece whose name ends in “up” is itself, and a side of it its side', () => {
		const recipe = made(head, 'put 1 5 at 4 red as light up on head left', 'put 1 5 at 2 white as tip on light up', 'put 1 5 at 2 gold as end on light up left');
		const ways = piecesIn(recipe).slice(2).map(({ piece }) => piece.on[0]!.host);
		expect(ways.map((h) => ('way' in h ? h.way : undefined))).toEqual([undefined, 'left']);
	});
	test('whatever shares a ball stands on it beside the others, none on the point of another (property)', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 2, maxLength: 3 }), fc.constantFrom(...WAYS), (counts, way) => {
				const all = on(...counts.map((n, i) => `put ${n} 5 at 2 red as ${NAMES[i]} on head ${way}`));
				for (const b of all) expect(Math.hypot(b.x, b.y, b.z)).toBeCloseTo(6, 6);
				all.forEach((a, i) => all.slice(i + 1).forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeGreaterThan(1.99)));
			}),
			{ numRuns: 60 }
		);
	});
}); // prettier-ignore

describe('several on one side of a row', () => {
	test('what comes later goes below or beside what is there: never on its point, never under the floor (property)', () => {
		const sides = ['front', 'back', 'left', 'right', 'round'];
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 2, max: 4 })), { minLength: 2, maxLength: 5 }), fc.constantFrom(...sides), (all, side) => {
				const recipe = made(...all.map(([n, d], i) => `put ${n} 5 at ${d} red as ${NAMES[i]} on row 1 ${side}`));
				const { balls } = assemble(recipe, null, none).applied[0]!;
				for (const { ball } of balls) expect(ball.z - ball.d / 2).toBeGreaterThan(-1e-6);
				if (all.reduce((a, [n]) => a + n, 0) > 6) return;
				balls.forEach((a, i) => balls.slice(i + 1).forEach((b) => {
					if (a.piece === b.piece) return;
					const apart = Math.hypot(a.ball.x - b.ball.x, a.ball.y - b.ball.y, a.ball.z - b.ball.z);
					expect(apart).toBeGreaterThan(0.24 * (a.ball.d + b.ball.d));
				}));
			}),
			// Five about one row, where quarters of the way are all taken.
			{ numRuns: 60, examples: [[[[1, 2], [1, 2], [2, 4], [1, 3], [1, 3]], 'round']] }
		);
	});
	test('by hand: a nose goes under the eyes, where both are put on the front', () => {
		const [left, right, nose] = seats(made('put 1 5 at 3 white as eye on row 2 front', 'put 1 5 at 3 white as patch on row 2 front', 'put 1 5 at 2 red as nose on row 2 front'));
		expect(right!.z).toBeLessThan(left!.z);
		expect(nose!.z).toBeLessThan(right!.z);
	});
}); // prettier-ignore
