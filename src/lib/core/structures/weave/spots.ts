import { resolveSize } from '../../sizing/resolve.ts';
import { keptSpots, type HostSpot } from '../kit/host-spots.ts';
import { sizeOfWeave } from './count.ts';
import type { Weave } from './document.ts';
import { graphOf } from './graph.ts';
import type { GridPoint } from './grid.ts';
import { seaterOf } from './seater.ts';

/**
 * Joints and bays of a weave, counted from the left in each row and rows from below; round a ring from the front, of a
 * base or a cage from its front left.
 */
export const spotsOf = (weave: Weave): readonly HostSpot[] => keptSpots(weave, make);

function make(weave: Weave): HostSpot[] {
	const { woven, bays } = graphOf(weave);
	const seat = seaterOf(weave, sizeOfWeave(weave, []));
	const d = resolveSize(weave.woven.size, weave.woven.nominal).assumed;
	const knots = woven.flatMap(({ row, from, to }) => (row === null ? [] : [from, to]));
	const named = (what: string, points: readonly GridPoint[], wide: number) =>
		numbered(points).map(({ point, n, row }) => ({
			name: `${what} ${n} row ${row}`,
			ball: { ...seat(point), d: wide },
			open: what === 'bay'
		}));
	// What is pinched to a knot is a third as thick as the links that meet there. House rule.
	return [...named('joint', knots, d / 3), ...named('bay', bays, d)];
}

/** Points of a grid, each once, row by row from below and along each. */
function numbered(points: readonly GridPoint[]) {
	const all = [...new Map(points.map((p) => [p.join('/'), p])).values()];
	const level = (p: GridPoint) => p[2] ?? p[1];
	const levels = [...new Set(all.map(level))].sort((a, b) => a - b);
	return levels.flatMap((z, row) =>
		all
			.filter((p) => level(p) === z)
			.sort((a, b) => (a[2] === undefined ? 0 : a[1] - b[1]) || a[0] - b[0])
			.map((point, n) => ({ point, n: n + 1, row: row + 1 }))
	);
}
