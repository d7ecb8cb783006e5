import type { PaintPart } from '../document/cluster.ts';
import type { Outline } from './outlines.ts';

/** A mark of paint on a balloon as it is seen: where on it and how large, in its radius, and its outline; a round one has none. */
export interface PaintMark {
	readonly x: number;
	readonly y: number;
	readonly r: number;
	readonly outline?: Outline;
}

/** A band across the front of a balloon, so far up and so wide; bent as a ball shows it. In hundredths of its radius. */
function band(up: number, wide: number): Outline {
	const at = (z: number) => Math.round(1000 * Math.sqrt(Math.max(0, 1 - z * z))) / 10;
	const [top, foot] = [up + wide / 2, up - wide / 2];
	const [a, b] = [at(top), at(foot)];
	const y = (z: number) => Math.round(-z * 1000) / 10;
	// The edge sinks towards the middle by a tenth of the radius: it is seen from a little above.
	return `own M${-a} ${y(top)}C${-a / 2} ${y(top) + 13} ${a / 2} ${y(top) + 13} ${a} ${y(top)}L${b} ${y(foot)}C${b / 2} ${y(foot) + 13} ${-b / 2} ${y(foot) + 13} ${-b} ${y(foot)}Z`;
}

const SWOOSH: Outline =
	'own M-78 10C-40 -30 20 -52 84 -38C60 -30 10 -20 -18 4C-36 20 -52 34 -60 48C-70 40 -78 24 -78 10Z';
/** A cap of a third, cut straight as it is seen: the top, and turned the bottom and a side. */
const TOP: Outline = 'own M-94 -34C-84 -74 -48 -100 0 -100C48 -100 84 -74 94 -34C50 -18 -50 -18 -94 -34Z';
const BOTTOM: Outline = 'own M-94 34C-84 74 -48 100 0 100C48 100 84 74 94 34C50 50 -50 50 -94 34Z';
const SIDE: Outline = 'own M34 -94C74 -84 100 -48 100 0C100 48 74 84 34 94C18 50 18 -50 34 -94Z';

const DOTS: readonly PaintMark[] = ([[0, 0.55], [-0.5, 0.2], [0.5, 0.2], [-0.28, -0.4], [0.28, -0.4], [0, 0.02]] as const).map(
	([x, y]): PaintMark => ({ x, y, r: 0.13 })
); // prettier-ignore
const whole = (outline: Outline): PaintMark => ({ x: 0, y: 0, r: 1, outline });

/** Where paint is seen on a balloon of which a part is painted. House drawings: which dots and how many is the painter's. */
export const PAINT_MARKS: Readonly<Record<PaintPart, readonly PaintMark[]>> = {
	dots: DOTS,
	stripes: [0.55, 0, -0.55].map((up) => whole(band(up, 0.22))),
	swoosh: [whole(SWOOSH)],
	'the side': [whole(SIDE)],
	'the top': [whole(TOP)],
	'the bottom': [whole(BOTTOM)]
};
