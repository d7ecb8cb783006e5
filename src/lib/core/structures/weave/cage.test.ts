import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { tally } from '../../tally/tally.ts';
import { joinersOf, sizeOfWeave } from './count.ts';
import type { Weave } from './document.ts';
import { graphOf } from './graph.ts';
import type { GridPoint } from './grid.ts';
import { placeWeave } from './place.ts';

const stock = catalogue(floating, colours);
const pot = (...lines: string[]): Recipe => designOf(floating, 'pot', ['weave pot', ...lines]);
const woven = (recipe: Recipe) => recipe.sections[0]!.structure as Weave;
const JOINED = 'joined with 5 at 2 white';

describe('a cage', () => {
	// Counted by hand on the grid: 2 × (4 + 3) = 14 links a ring; posts at 4 corners.
	const plain = () => woven(pot('cage of 10 links at 9, 4 by 3, 3 rings', 'rows 14 red', JOINED));
	test('has its rings and its posts: 3 × 14 and 2 × 4 links', () => {
		expect(graphOf(plain()).woven).toHaveLength(3 * 14 + 2 * 4);
	});
	test('audit, joint by joint: every knot of links is a joint of its kind, and no other is', () => {
		const weave = woven(pot('cage of 10 links at 9, 4 by 3 with 1 cross pieces, 3 rings posts 2 every 2 over 1', 'rows 14 red', JOINED)); // prettier-ignore
		const { woven: links, places } = graphOf(weave);
		const key = ([x, y, z = 0]: GridPoint) => `${x}/${y}/${z}`;
		const ends = new Map<string, number>();
		for (const { from, to } of links) for (const p of [from, to]) ends.set(key(p), (ends.get(key(p)) ?? 0) + 1);
		const joints = new Map(places.map((p) => [key(p.at), p.joint]));
		// Cross pieces of 3 over 4: at 2, where a knot of the ring is.
		for (const [at, n] of ends) {
			const kind = n === 2 ? ['edge', 'inner'] : ['base', 'ends'];
			expect([at, n, kind.includes(joints.get(at)!)]).toEqual([at, n, true]);
		}
		expect([...joints.keys()].filter((at) => !ends.has(at))).toEqual([]);
		// Its small balloons are those of its joints, two to a duplet; ends hold nothing.
		const held = places.filter((p) => p.joint !== 'ends');
		expect(joinersOf(weave)).toBe(2 * held.length);
	}); // prettier-ignore
	test('posts at every second link as well as at the corners', () => {
		const every = woven(pot('cage of 10 links at 9, 4 by 4, 2 rings posts 1 every 2', 'rows 16 red'));
		expect(graphOf(every).woven).toHaveLength(2 * 16 + 8);
		expect(graphOf(every).bays).toHaveLength(8);
	});
	test('edges held by choice: one of two, moved from ring to ring', () => {
		const weave = woven(pot('cage of 10 links at 9, 4 by 3, 2 rings', 'rows 14 red', 'held 1 of 2', JOINED));
		const at = (z: number) => graphOf(weave).places.filter((p) => p.joint === 'edge' && p.at[2] === z);
		expect([at(0).length, at(1).length]).toEqual([5, 5]);
		expect(at(0)[0]!.at.slice(0, 2)).not.toEqual(at(1)[0]!.at.slice(0, 2));
	});
	test('rows colour it ring, posts, ring in turn', () => {
		const weave = woven(pot('cage of 10 links at 9, 2 by 2, 2 rings', 'rows 8 red', 'rows 4 white'));
		const { woven: links } = graphOf(weave);
		const of = (id: string) => links.filter((l) => l.row === id).length;
		expect(weave.rows.map((r) => of(r.id))).toEqual([16, 4]);
	});
	test('a float in every bay is counted, timed, drawn and goes with its colour', () => {
		const recipe = pot('cage of 10 links at 9, 2 by 2, 3 rings', 'rows 8 red', 'bays of 5 at 4 white');
		const count = (r: Recipe) => tally(r, null, 1, { catalogue: stock, rates, library: () => undefined });
		const floats = count(recipe).bill.inflate.find((l) => l.nominal === 127_000)!;
		expect(floats.quantity.valueOf()).toBe(8);
		expect(placeWeave(woven(recipe)).balls).toHaveLength(8);
		expect(count(recipe).tasks.find((t) => t.task === 'infill')).toMatchObject({ count: 8 });
		expect(count(pot('cage of 10 links at 9, 2 by 2, 3 rings', 'rows 8 red', 'bays of 5 at 4 white', 'no bays')).bill.inflate.some((l) => l.nominal === 127_000)).toBe(false); // prettier-ignore
	});
	test('is as wide, deep and high as its links, 1.2 times their size from knot to knot, and half a balloon at each corner', () => {
		const { width, deep, height } = sizeOfWeave(plain());
		expect(deep! / 25.4).toBeCloseTo(3 * 9 * 1.2 + 9, 6);
		expect(width / 25.4).toBeCloseTo(4 * 9 * 1.2 + 9, 6);
		expect(height / 25.4).toBeCloseTo(2 * 9 * 1.2 + 9, 6);
	});
	test('what is no cage is refused with what would work', () => {
		for (const line of ['cage of 10 links at 9', 'cage of 10 links at 9, 4 by 3', 'cage of 10 links at 9, 4 by 3, 0 rings', 'cage of 10 links at 9, 4 by 3, 3 rings posts lots'])
			expect(() => pot(line)).toThrow(/Type it like “cage of 10 links at 9, /);
	}); // prettier-ignore
	test('law: whatever its numbers, it stands on the floor, every link is one knot long and its document is kept', () => {
		const n = fc.integer({ min: 1, max: 6 });
		fc.assert(
			fc.property(n, n, n, n, fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 2 }), (along, across, rings, post, every, over) => {
				const recipe = pot(`cage of 10 links at 9, ${along} by ${across} with ${over} cross pieces, ${rings} rings posts ${post} every ${every} over ${over}`, 'rows 4 red', JOINED, 'bays of 5 at 3 white');
				const weave = woven(recipe);
				const { woven: links, width } = graphOf(weave);
				for (const { from, to } of links) {
					const apart = [0, 1, 2].map((k) => Math.abs((from[k] ?? 0) - (to[k] ?? 0)));
					expect(apart.reduce((a, b) => a + b, 0)).toBe(1);
				}
				expect(width).toBe(along);
				const { balls, strands } = placeWeave(weave);
				for (const { ball } of balls) expect(ball.z - ball.d / 2).toBeGreaterThanOrEqual(-1e-6);
				for (const { path, d } of strands) for (const p of path) expect(p.z - d / 2).toBeGreaterThanOrEqual(-1e-6);
				expect(recipeSchema.parse(recipe)).toEqual(recipe);
			}),
			{ numRuns: 30 }
		);
	}); // prettier-ignore
});
