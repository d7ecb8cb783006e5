import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { slotAt, slotsOf, type Pattern } from './pattern.ts';

/** Counts per slot over rings of n places. */
function counts(pattern: Pattern, rings: number, n: number): Record<string, number> {
	const found: Record<string, number> = {};
	for (let ring = 0; ring < rings; ring++) {
		for (let place = 0; place < n; place++) {
			const slot = slotAt(pattern, { place, ringOfRow: ring, ringOfStack: ring + 3 });
			found[slot] = (found[slot] ?? 0) + 1;
		}
	}
	return found;
}

describe('colour patterns, counted by hand', () => {
	test.each<[Pattern, number, number, Record<string, number>]>([
		[{ kind: 'same', slot: 'a' }, 5, 4, { a: 20 }],
		[{ kind: 'rings', slots: ['a', 'b'] }, 5, 4, { a: 12, b: 8 }],
		[{ kind: 'list', slots: ['a', 'b', 'a', 'b'] }, 3, 4, { a: 6, b: 6 }],
		[{ kind: 'spiral', slots: ['a', 'a', 'b', 'b'], hand: 'left' }, 4, 4, { a: 8, b: 8 }],
		[{ kind: 'spiral', slots: ['a', 'b', 'b', 'b'], hand: 'right' }, 7, 4, { a: 7, b: 21 }],
		[{ kind: 'checker', slots: ['a', 'b'] }, 5, 4, { a: 10, b: 10 }],
		[
			{
				kind: 'blocks',
				blocks: [
					{ slot: 'a', rings: 2 },
					{ slot: 'b', rings: 1 }
				]
			},
			7,
			4,
			{ a: 20, b: 8 }
		]
	])('%j over %i rings of %i', (pattern, rings, n, expected) => {
		expect(counts(pattern, rings, n)).toEqual(expected);
		expect(slotsOf(pattern).sort()).toEqual(Object.keys(expected).sort());
	});
	test('a spiral moves its strand by one place a ring, to either hand', () => {
		const strand = (hand: 'left' | 'right') =>
			[0, 1, 2, 3].map((ring) =>
				[0, 1, 2, 3].find(
					(place) =>
						slotAt(
							{ kind: 'spiral', slots: ['a', 'b', 'b', 'b'], hand },
							{ place, ringOfRow: ring, ringOfStack: ring }
						) === 'a'
				)
			);
		expect(strand('right')).toEqual([0, 1, 2, 3]);
		expect(strand('left')).toEqual([0, 3, 2, 1]);
	});
	test('a checker never puts a slot beside or above itself on even rings', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 5 }), (ring, place) => {
				const at = (p: number, r: number) =>
					slotAt({ kind: 'checker', slots: ['a', 'b'] }, { place: p, ringOfRow: r, ringOfStack: r });
				expect(at(place, ring)).not.toBe(at(place + 1, ring));
				expect(at(place, ring)).not.toBe(at(place, ring + 1));
			})
		);
	});
});
