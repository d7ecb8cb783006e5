import fc from 'fast-check';
import { POINT } from '../units/number.ts';
import { afterSheets } from './after-sheets.ts';
import { readSheets, type SheetText } from './read-sheets.ts';
import { describe, expect, test } from 'vitest';
import { inches, um } from '../units/length.ts';
import {
	cutSheets,
	mostOfOneSheet,
	sheetBound,
	type LaidPiece,
	type SheetPlan,
	type SheetProblem
} from './sheets.ts';

const problem = (pieces: readonly (readonly [number, number, number])[], more: Partial<SheetProblem> = {}): SheetProblem => ({
	wide: inches(96), deep: inches(48), priceMinor: null, kerf: 0, turned: true,
	pieces: pieces.map(([wide, deep, quantity]) => ({ wide: inches(wide), deep: inches(deep), quantity })),
	...more
}); // prettier-ignore
type Cut = Extract<SheetPlan, { status: 'cut' }>;
const cut = (p: SheetProblem): Cut => {
	const plan = cutSheets(p);
	if (plan.status !== 'cut') throw new Error('not cut');
	return plan;
};

/** Whether cuts from edge to edge part all of these, tried at every side: the meaning of a guillotine, not how it is found. */
function partedByCuts(laid: readonly LaidPiece[]): boolean {
	if (laid.length < 2) return true;
	for (const [low, long] of [['x', 'wide'], ['y', 'deep']] as const)
		for (const { [low]: from, [long]: size } of laid) {
			const at = from + size;
			const before = laid.filter((p) => p[low] + p[long] <= at);
			const after = laid.filter((p) => p[low] >= at);
			if (after.length > 0 && before.length + after.length === laid.length) return partedByCuts(before) && partedByCuts(after);
		}
	return false;
} // prettier-ignore

describe('one sheet', () => {
	test('the instance of Herz (1972): 127 × 98 with five pieces gives 12,348 of 12,446 (from memory)', () => {
		const sides = [[18, 65], [24, 27], [21, 13], [36, 17], [54, 20]] as const; // prettier-ignore
		const pieces = sides.map(([wide, deep]) => ({ wide: um(wide), deep: um(deep), quantity: 1 }));
		expect(mostOfOneSheet({ wide: um(127), deep: um(98), kerf: 0, pieces, turned: false })).toBe(12_348);
	});
	test('by hand: of 8 × 4 ft come 32 plates of 12 in, with a saw of an eighth 21', () => {
		expect(cut(problem([[12, 12, 32]])).count).toBe(1);
		const sawn = cut(problem([[12, 12, 21]], { kerf: inches(0.125) }));
		expect([sawn.count, sawn.bound]).toEqual([1, 1]);
		expect(cut(problem([[12, 12, 22]], { kerf: inches(0.125) })).count).toBe(2);
	});
	test('a piece that fits one way only is turned; not where the grain decides', () => {
		expect(cut(problem([[40, 90, 1]])).count).toBe(1);
		expect(cutSheets(problem([[40, 90, 1]], { turned: false }))).toMatchObject({ status: 'too-large' });
	});
	test('three that fill more than half a sheet both ways take three, proved', () =>
		expect(cut(problem([[50, 49, 3]], { deep: inches(96) }))).toMatchObject({
			count: 3,
			bound: 3,
			proved: true
		}));
});

describe('over all', () => {
	const side = fc.integer({ min: 4, max: 60 });
	const pieces = fc.array(fc.tuple(side, fc.integer({ min: 4, max: 48 }), fc.integer({ min: 1, max: 5 })), { minLength: 1, maxLength: 6 }); // prettier-ignore
	test('every piece is there once, none lies on another or over the edge, edge-to-edge cuts part them, and the bound holds (property)', () => {
		fc.assert(
			fc.property(pieces, fc.constantFrom(0 as const, inches(0.125)), (all, kerf) => {
				const p = problem(all, { kerf });
				const plan = cut(p);
				const laid = plan.sheets.flatMap((s) => Array.from({ length: s.count }, () => s.laid));
				const size = (w: number, d: number) => [Math.min(w, d), Math.max(w, d)].join('/');
				const wanted = p.pieces.flatMap((q) => Array.from({ length: q.quantity }, () => size(q.wide, q.deep)));
				expect(laid.flat().map((l) => size(l.wide, l.deep)).sort()).toEqual(wanted.sort());
				for (const sheet of laid) {
					for (const [i, a] of sheet.entries()) {
						expect(a.x + a.wide <= p.wide && a.y + a.deep <= p.deep && a.x >= 0 && a.y >= 0).toBe(true);
						for (const b of sheet.slice(i + 1))
							expect(a.x + a.wide + kerf <= b.x || b.x + b.wide + kerf <= a.x || a.y + a.deep + kerf <= b.y || b.y + b.deep + kerf <= a.y).toBe(true);
					}
					expect(partedByCuts(sheet)).toBe(true);
				}
				expect(plan.count).toBe(laid.length);
				expect(plan.count).toBeGreaterThanOrEqual(plan.bound);
				expect(plan.bound).toBe(sheetBound(p));
			}),
			{ numRuns: 60 }
		);
	}); // prettier-ignore
	/** A sheet that is cut to pieces: it can be put together again, so that one sheet is enough. */
	const parts = (wide: number, deep: number, picks: readonly number[]): [number, number][] => {
		const [pick, ...rest] = picks;
		if (pick === undefined || wide < 12 || deep < 12) return [[wide, deep]];
		const half = Math.ceil(rest.length / 2);
		const at = (long: number) => Math.max(4, Math.min(long - 4, Math.round(long * pick)));
		return picks.length % 2 === 0
			? [...parts(at(wide), deep, rest.slice(0, half)), ...parts(wide - at(wide), deep, rest.slice(half))]
			: [...parts(wide, at(deep), rest.slice(0, half)), ...parts(wide, deep - at(deep), rest.slice(half))];
	};
	test('a sheet that was cut to pieces has a bound of one, and two are always enough for it (property)', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0.2, max: 0.8, noNaN: true }), { maxLength: 7 }), (picks) => {
				const plan = cut(problem(parts(96, 48, picks).map(([w, d]) => [w, d, 1] as const)));
				expect(plan.bound).toBe(1);
				expect(plan.count).toBeLessThanOrEqual(2);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('rests that lie on the shelf', () => {
	const rest = (wide: number, deep: number, count: number) => ({
		wide: inches(wide),
		deep: inches(deep),
		count
	});
	test('by hand: they are cut first, no more of them than there are, and a sheet only for what is over', () => {
		const plan = cut(problem([[12, 12, 6]], { own: [rest(24, 12, 2)] }));
		expect(plan.sheets.map((s) => [s.own, s.count, s.laid.length])).toEqual([[true, 2, 2], [false, 1, 2]]); // prettier-ignore
		expect([plan.count, plan.bound, plan.proved]).toEqual([1, 1, true]);
		expect(afterSheets(plan).used).toEqual([rest(24, 12, 2)]);
	});
	test('where they do, nothing is bought and that is proved; a rest nothing comes of stays where it is', () => {
		const plan = cut(problem([[12, 12, 2]], { own: [rest(24, 12, 1), rest(11, 40, 3)] }));
		expect([plan.count, plan.proved]).toEqual([0, true]);
		expect(afterSheets(plan)).toEqual({ used: [rest(24, 12, 1)], left: [] });
	});
	test('what is left of a sheet is told as it lies, less what the saw takes; slivers are no rests', () => {
		const plan = cut(problem([[48, 48, 1]], { kerf: inches(0.125) }));
		expect(afterSheets(plan).left).toEqual([rest(47.875, 48, 1)]);
		expect(afterSheets(cut(problem([[93, 48, 1]]))).left).toEqual([]);
	});
	test('whatever lies there: no rest is cut more often than it is there, pieces and rests fill each sheet and no more (property)', () => {
		const side = fc.integer({ min: 4, max: 40 });
		fc.assert(
			fc.property(
				fc.array(fc.tuple(side, side, fc.integer({ min: 1, max: 5 })), { minLength: 1, maxLength: 6 }),
				fc.array(fc.tuple(side, side, fc.integer({ min: 1, max: 3 })), { maxLength: 4 }),
				fc.constantFrom(0 as const, inches(0.125)),
				(pieces, own, kerf) => {
					const asked = problem(pieces, { own: own.map(([w, d, n]) => rest(w, d, n)), kerf });
					const plan = cut(asked);
					expect(plan.count).toBeGreaterThanOrEqual(plan.bound);
					expect(plan.count).toBeLessThanOrEqual(cut({ ...asked, own: [] }).count);
					const laid = plan.sheets.reduce((a, s) => a + s.count * s.laid.length, 0);
					expect(laid).toBe(pieces.reduce((a, [, , n]) => a + n, 0));
					for (const { wide, deep, count } of afterSheets(plan).used) {
						const there = asked.own!.filter((r) => r.wide === wide && r.deep === deep);
						expect(count).toBeLessThanOrEqual(there.reduce((a, r) => a + r.count, 0));
					}
					for (const sheet of plan.sheets) {
						expect(partedByCuts(sheet.laid)).toBe(true);
						const all = [...sheet.laid, ...sheet.left];
						for (const p of all) expect([p.x + p.wide <= sheet.wide, p.y + p.deep <= sheet.deep]).toEqual([true, true]);
						const area = all.reduce((a, p) => a + p.wide * p.deep, 0);
						if (kerf === 0) expect(area).toBe(sheet.wide * sheet.deep);
						else expect(area).toBeLessThanOrEqual(sheet.wide * sheet.deep);
					}
				}
			),
			{ numRuns: 100 }
		);
	}); // prettier-ignore
});

describe('what is typed', () => {
	const read = (typed: Partial<SheetText>) =>
		readSheets({ pieces: '6 × 14 by 14 in', sheet: '8 ft by 4 ft', kerf: '', turned: true, ...typed }, { currency: 'USD', style: POINT }); // prettier-ignore
	test('counts and sides a line each; a unit behind the second side is of both', () =>
		expect(read({ pieces: '6 × 14 by 14 in\n2 ft by 14 in; 3 x 2 by 1 ft', sheet: '8 by 4 ft at 32.00', kerf: '⅛' })).toEqual({
			problem: {
				wide: inches(96), deep: inches(48), priceMinor: 3200, kerf: inches(0.125), turned: true,
				pieces: [
					{ wide: inches(14), deep: inches(14), quantity: 6 },
					{ wide: inches(24), deep: inches(14), quantity: 1 },
					{ wide: inches(24), deep: inches(12), quantity: 3 }
				]
			}
		})); // prettier-ignore
	test.each<[Partial<SheetText>, 'pieces' | 'sheet' | 'kerf', RegExp]>([
		[{ pieces: '' }, 'pieces', /Which pieces/],
		[{ pieces: 'a few' }, 'pieces', /Type how many and their sides/],
		[{ pieces: '0 × 3 by 3' }, 'pieces', /Pieces alike/],
		[{ pieces: '2 × 0 by 3' }, 'pieces', /above 0/],
		[{ sheet: '' }, 'sheet', /How large is a sheet/],
		[{ sheet: '8 ft' }, 'sheet', /two sides/],
		[{ sheet: '8 by 4 ft at cheap' }, 'sheet', /cheap/],
		[{ kerf: '3 in' }, 'kerf', /less than an inch/]
	])('%j', (typed, field, say) => {
		const found = read(typed);
		expect('errors' in found && found.errors[field]).toMatch(say);
	});
});
