import type { Hanging, Hung } from '../../document/hung.ts';
import { pointOf, type PathPoint, type Stretch } from '../../geometry/path.ts';
import type { AppliedBall } from './seats.ts';
import { hangersOf } from './hung.ts';

/** Something that holds a piece, between two points, mm: seen in the picture, no part of its height or width. */
export interface Holder {
	readonly from: PathPoint;
	readonly to: PathPoint;
	/** Thickness, mm. */
	readonly d: number;
}

/** How thick what holds is drawn and how far it reaches over the balloons, mm. House rules. */
const LOOK: Readonly<Record<Hanging, { d: number; over: number }>> = {
	hooks: { d: 14, over: 40 },
	pins: { d: 9, over: 22 },
	ties: { d: 7, over: 45 },
	'fishing line': { d: 3, over: 320 },
	stand: { d: 26, over: 0 },
	backdrop: { d: 26, over: 60 }
};
/** No more is drawn than can be told apart. */
const MOST = 80;

/** What a piece hangs by, where it is: one at each end and evenly between along its way, or a frame behind it. */
export function hangersAt(
	hung: Hung | null,
	way: readonly Stretch[],
	balls: readonly Pick<AppliedBall, 'ball'>[]
): Holder[] {
	const length = way.reduce((sum, s) => sum + s.length, 0);
	const count = hangersOf({ hung }, length);
	if (hung === null || count === 0) return [];
	const { d, over } = LOOK[hung.by];
	if (hung.by === 'stand' || hung.by === 'backdrop') return frame(hung.by, way, { d, over });
	const n = Math.min(MOST, Math.max(2, count));
	return Array.from({ length: n }, (_, i): Holder => {
		const from = onWay(way, (length * i) / (n - 1));
		const top = balls.reduce(
			(most, { ball }) =>
				Math.abs(ball.x - from.x) < ball.d / 2 && Math.abs(ball.z - from.z) < 2 * ball.d
					? Math.max(most, ball.z + ball.d / 2)
					: most,
			from.z
		);
		return { from, to: { ...from, z: top + over }, d };
	});
}

function onWay(way: readonly Stretch[], at: number): PathPoint {
	let left = at;
	for (const stretch of way) {
		if (left <= stretch.length) return pointOf(stretch, left).point;
		left -= stretch.length;
	}
	const last = way.at(-1)!;
	return pointOf(last, last.length).point;
}

/** An upright at each end, and over a backdrop the bar that joins them. */
function frame(
	by: 'stand' | 'backdrop',
	way: readonly Stretch[],
	{ d, over }: { d: number; over: number }
): Holder[] {
	const points = way.flatMap((s) => s.points);
	const [left, right] = [points[0]!, points.at(-1)!];
	const high = Math.max(...points.map((p) => p.z)) + over;
	const upright = ({ x, y, z }: PathPoint): Holder => ({
		from: { x, y, z: 0 },
		to: { x, y, z: by === 'stand' ? z : high },
		d
	});
	const sides = [upright(left), upright(right)].filter(({ from, to }) => to.z > from.z);
	if (by === 'stand') return sides;
	return [...sides, { from: { ...left, z: high }, to: { ...right, z: high }, d }];
}
