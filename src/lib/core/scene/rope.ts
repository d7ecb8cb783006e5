import type { Finish } from '../materials/material.ts';
import type { Disc } from './draw-list.ts';
import { shade } from './shade.ts';

/** One stroke of something long: as the light falls on a round tube, from its dark edge to its lit side. */
export interface RopeStroke {
	readonly hex: string;
	/** Share of its thickness. */
	readonly width: number;
	/** Moved towards the light, share of its thickness: left and up. */
	readonly towards: number;
}

/** Strokes that shade a tube, drawn one over the other. House rule: by eye, as the balls are shaded. */
export function ropeStrokes(hex: string, finish: Finish): readonly RopeStroke[] {
	const [light, middle, dark] = shade(hex, finish).map((s) => s.hex);
	return [
		{ hex: dark!, width: 1, towards: 0 },
		{ hex: middle!, width: 0.74, towards: 0.06 },
		{ hex: light!, width: 0.24, towards: 0.16 }
	];
}

/** The way of something long as the data of an SVG path, y downwards. */
export function ropePath(path: readonly number[], moved = 0): string {
	const points: string[] = [];
	for (let i = 0; i < path.length; i += 2)
		points.push(`${Math.round(path[i]! - moved)} ${Math.round(-path[i + 1]! - moved)}`);
	// A way of one point is a dot: a line to itself.
	return `M${points.join('L')}${points.length === 1 ? `L${points[0]}` : ''}`;
}

/** How far a point of the picture is from the middle line of a disc or of something long. */
export function awayFrom({ x, y, path }: Pick<Disc, 'x' | 'y' | 'path'>, px: number, py: number): number {
	if (!path || path.length < 4) return Math.hypot(x - px, y - py);
	let least = Infinity;
	for (let i = 0; i + 3 < path.length; i += 2) {
		const [ax, ay, bx, by] = [path[i]!, path[i + 1]!, path[i + 2]!, path[i + 3]!];
		const long = (bx - ax) ** 2 + (by - ay) ** 2;
		const t =
			long === 0 ? 0 : Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / long));
		least = Math.min(least, Math.hypot(ax + t * (bx - ax) - px, ay + t * (by - ay) - py));
	}
	return least;
}
