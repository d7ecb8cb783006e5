import type { Assembly, Piece } from '../assembly/assemble.ts';
import type { Ball } from '../geometry/ring.ts';
import { pointAt, type Spot } from '../structures/kit/spot.ts';
import type { PlacedStack } from '../structures/stack/placed.ts';

/** Height at which a pole is in the middle of one balloon on top and seen no further, mm; without one nothing hides it. */
export function insideTopper({ layers }: PlacedStack): number {
	const [ball, ...others] = layers.at(-1)?.rings.flat() ?? [];
	return ball && others.length === 0 && layers.length > 1 ? ball.z : Infinity;
}

/**
 * Height over its foot at which a pole ends in something of another section that stands on it, mm: the middle of the
 * highest ball over its axis. Asked only of a pole that is seen over its own rows.
 */
export function endsIn(assembly: Assembly, piece: Piece, spot: Spot): number {
	const { length } = piece.stack.upright;
	const end = spot.z + (length ?? 0) / 1000;
	const own = spot.z + piece.placed.overall.usual;
	if (length === null || end <= own) return Infinity;
	let best = -Infinity;
	const over = (ball: Ball, at: Spot) => {
		const { x, y, z } = pointAt(at, ball);
		const onAxis = Math.hypot(x - spot.x, y - spot.y) < ball.d / 4;
		if (onAxis && z > own - ball.d && z < end) best = Math.max(best, z - spot.z);
	};
	for (const { of, placed, spots } of assembly.pieces)
		if (of !== piece.of)
			for (const at of spots)
				for (const { rings } of placed.layers) for (const b of rings.flat()) over(b, at);
	for (const { of, balls, spots } of assembly.applied)
		if (of !== piece.of) for (const at of spots) for (const { ball } of balls) over(ball, at);
	return best === -Infinity ? Infinity : best;
}
