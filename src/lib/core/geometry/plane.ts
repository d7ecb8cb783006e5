import type { Ball } from './ring.ts';

/** z = c + a·x + b·y */
export interface Plane {
	readonly a: number;
	readonly b: number;
	readonly c: number;
}

/**
 * The least squares plane through ball centres, about their mean.
 * Balls in one line or one spot leave a slope undetermined: that slope is 0.
 */
export function fitPlane(balls: readonly Ball[]): Plane {
	const n = balls.length;
	const mean = (pick: (b: Ball) => number) => balls.reduce((s, b) => s + pick(b), 0) / n;
	const mx = mean((b) => b.x);
	const my = mean((b) => b.y);
	const mz = mean((b) => b.z);
	let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
	for (const { x, y, z } of balls) {
		xx += (x - mx) ** 2;
		xy += (x - mx) * (y - my);
		yy += (y - my) ** 2;
		xz += (x - mx) * (z - mz);
		yz += (y - my) * (z - mz);
	}
	const determinant = xx * yy - xy * xy;
	const spread = xx + yy;
	// Balls in one line (two of them, say) tilt only along it.
	if (determinant <= 1e-9 * spread * spread) {
		if (spread === 0) return { a: 0, b: 0, c: mz };
		const [ux, uy] = xx >= yy ? [xx, xy] : [xy, yy];
		const length = Math.hypot(ux, uy);
		const slope = (ux * xz + uy * yz) / length / spread;
		const [a, b] = [(slope * ux) / length, (slope * uy) / length];
		return { a, b, c: mz - a * mx - b * my };
	}
	const a = (xz * yy - yz * xy) / determinant;
	const b = (yz * xx - xz * xy) / determinant;
	return { a, b, c: mz - a * mx - b * my };
}

/** Steepness of a plane, degrees. */
export const tiltDegrees = ({ a, b }: Plane): number => (Math.atan(Math.hypot(a, b)) * 180) / Math.PI;
