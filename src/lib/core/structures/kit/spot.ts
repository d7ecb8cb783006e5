import type { Ball } from '../../geometry/ring.ts';
import type { HostShape } from './seats.ts';

/**
 * Where one of a section's copies stands, mm from the middle of the design's floor; mirrored left for right, then
 * turned about its own axis, radians counter-clockwise seen from above.
 */
export interface Spot {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly mirrored: boolean;
	readonly turn: number;
}

export const ORIGIN: Spot = { x: 0, y: 0, z: 0, mirrored: false, turn: 0 };

/** A point of a copy as it stands at a spot. */
export function pointAt({ x, y, z, mirrored, turn }: Spot, p: { x: number; y: number; z: number }) {
	const own = mirrored ? -p.x : p.x;
	if (turn === 0) return { x: x + own, y: y + p.y, z: z + p.z };
	const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
	return { x: x + cos * own - sin * p.y, y: y + sin * own + cos * p.y, z: z + p.z };
}

/** The room a section takes, in its own coordinates. */
export interface Room {
	readonly balls: readonly Ball[];
	/** Of its stacks, what can carry applied pieces: rows and places by their ids. */
	readonly host: HostShape;
	/** Reach from the axis towards each side, mm. */
	readonly half: readonly [number, number];
	readonly top: number;
}
