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
	let mx = 0;
	let my = 0;
	let mz = 0;
	for (const ball of balls) {
		mx += ball.x / n;
		my += ball.y / n;
		mz += ball.z / n;
	}
	let xx = 0;
	let xy = 0;
	let yy = 0;
	let xz = 0;
	let yz = 0;
	for (const ball of balls) {
		const dx = ball.x - mx;
		const dy = ball.y - my;
		const dz = ball.z - mz;
		xx += dx * dx;
		xy += dx * dy;
		yy += dy * dy;
		xz += dx * dz;
		yz += dy * dz;
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
