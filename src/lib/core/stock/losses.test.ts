import fc from 'fast-check';
import { expect, test } from 'vitest';
import { LOSS_CAUSES, MOVE_KINDS, MOVE_WAY, type Move } from './ledger.ts';
import { COUNTED_BUILD, lossReport } from './losses.ts';

const move = (kind: Move['kind'], pieces: number, more: Partial<Move> = {}): Move => ({ id: `${kind}${pieces}${JSON.stringify(more)}`, day: '2027-03-01', kind, thousandths: (MOVE_WAY[kind] || 1) * pieces * 1000, costMinor: null, note: '', ...more }); // prettier-ignore

test('by hand: 100 used and 12 lost by the ledger, 100 used and 6 lost in a build, 2 mended: 16 of 212 over what was said', () => {
	const report = lossReport(
		[
			move('bought', 300, { supplier: 'quay', batch: 'B1' }),
			move('used', 100),
			move('lost', 8, { cause: 'holed', batch: 'B1', supplier: 'quay' }),
			move('lost', 4, { cause: 'popped', day: '2027-03-02' }),
			move('repaired', 2, { batch: 'B1' }),
			// What a count after a build wrote is told by the count.
			move('used', 100, { id: `${COUNTED_BUILD}c1/used` }),
			move('lost', 6, { id: `${COUNTED_BUILD}c1/lost`, cause: 'holed' })
		],
		{ used: 100, lost: 6, jobs: 1 },
		0.04
	);
	expect(report).toMatchObject({ used: 212, lost: 16, repaired: 2, told: 3 });
	expect(report.share).toBeCloseTo((0.04 * 200 + 16) / (200 + 212), 12);
	expect(report.causes).toEqual([{ cause: 'holed', pieces: 14 }, { cause: 'popped', pieces: 4 }]); // prettier-ignore
	expect(report.suppliers).toMatchObject([{ of: 'quay', bought: 300, lost: 8 }]);
	expect(report.batches).toMatchObject([{ of: 'B1', bought: 300, lost: 6 }]);
	expect(report.batches[0]!.share).toBeCloseTo((8 + 6) / 500, 12);
});

test('shares are shares, causes add up to what was lost, whatever happened (property)', () => {
	const moves = fc.array(
		fc.record({
			id: fc.string(),
			day: fc.constantFrom('2027-03-01', '2027-03-02'),
			kind: fc.constantFrom(...MOVE_KINDS),
			pieces: fc.nat({ max: 400 }),
			cause: fc.option(fc.constantFrom(...LOSS_CAUSES), { nil: undefined }),
			batch: fc.option(fc.constantFrom('B1', 'B2'), { nil: undefined }),
			supplier: fc.option(fc.constantFrom('quay', 'lane'), { nil: undefined })
		}),
		{ maxLength: 20 }
	);
	fc.assert(
		fc.property(moves, fc.double({ min: 0, max: 0.9, noNaN: true }), (all, said) => {
			const ledger = all.map(({ pieces, ...m }): Move => ({ ...m, thousandths: (MOVE_WAY[m.kind] || 1) * pieces * 1000, costMinor: null, note: '' })); // prettier-ignore
			const report = lossReport(ledger, undefined, said);
			for (const { share, low, high } of [report, ...report.suppliers, ...report.batches]) {
				expect(low).toBeGreaterThanOrEqual(0);
				expect(high).toBeLessThanOrEqual(1);
				expect(low <= high && share >= 0 && share < 1).toBe(true);
			}
			const lost = ledger.filter((m) => m.kind === 'lost').reduce((a, m) => a - m.thousandths / 1000, 0);
			expect(report.causes.reduce((a, c) => a + c.pieces, 0)).toBeCloseTo(lost, 6);
		}),
		{ numRuns: 150 }
	);
});
