import svgpath from 'svgpath';
import { got, refuse, type Parsed } from '../errors.ts';

/** Longest drawing that is read, letters; most moves that are kept of one. */
export const LONGEST_DRAWING = 200_000;
const MOST_MOVES = 400;

/** An outline as it is kept: moves, lines and curves in a square from −100 to 100, y downwards. */
export const OUTLINE_SHAPE = /^M-?[\d.]+ -?[\d.]+(?:[LC](?:-?[\d.]+ ?)+)+Z$/;

type Point = readonly [number, number];
type Move = readonly number[];

/**
 * The outline of a foil from a drawing of her own: an SVG file, or the data of one of its paths. Of several paths, and of
 * several pieces of a path, the one that takes the most room is its edge; it is brought into a square about its middle.
 * Source: SVG 1.1 (W3C), section 8.3, path data; arcs and shorthands are written out by the package.
 *
 * @param text an SVG file or path data, at most {@link LONGEST_DRAWING} letters
 * @returns `M… L… C… Z` as {@link OUTLINE_SHAPE} says; `refused` where there is no closed shape in it
 */
export function readOutline(text: string): Parsed<string> {
	if (text.length > LONGEST_DRAWING) return refuse('too-big', 'The drawing is too large. Save it with fewer points.');
	const paths = /<svg/i.test(text) ? [...text.matchAll(/<path[^>]*?\sd\s*=\s*(["'])([\s\S]*?)\1/gi)].map((m) => m[2]!) : [text]; // prettier-ignore
	const pieces = paths.flatMap(piecesOf).filter((p) => p.length > 2 || p.some((m) => m.length > 2));
	if (pieces.length === 0)
		return refuse(
			'refused',
			'There is no path in it. Save the drawing as plain SVG with its edge as one path, or paste the d="…" of the path.'
		);
	const edge = pieces.reduce((best, p) => (roomOf(p) > roomOf(best) ? p : best));
	if (edge.length > MOST_MOVES)
		return refuse('too-big', `Its edge has ${edge.length} points. Simplify it to ${MOST_MOVES} or fewer.`);
	const { x, y, half } = boxOf(edge);
	if (!(half > 0)) return refuse('refused', 'Its edge has no size.');
	const put = (v: number, i: number) => Math.round(((v - (i % 2 === 0 ? x : y)) / half) * 1000) / 10;
	const moves = edge.map((move, i) => `${i === 0 ? 'M' : move.length === 2 ? 'L' : 'C'}${move.map(put).join(' ')}`);
	return got(`${moves.join('')}Z`);
} // prettier-ignore

/** The closed pieces of a path, each as points and curves in absolute figures; none where it cannot be read. */
function piecesOf(d: string): Move[][] {
	const path = svgpath(d).abs().unshort().unarc();
	// What is wrong in it shows when it is printed: the package reads as far as it can.
	if (d.trim() === '' || (path as unknown as { err: string }).err !== '') return [];
	const pieces: Move[][] = [];
	let now: Point = [0, 0];
	path.iterate(([letter, ...figures]) => {
		const p = figures as number[];
		const line = (to: Point) => {
			pieces.at(-1)?.push(to);
			now = to;
		};
		if (letter === 'M') {
			now = [p[0]!, p[1]!];
			pieces.push([now]);
		} else if (letter === 'L') line([p[0]!, p[1]!]);
		else if (letter === 'H') line([p[0]!, now[1]]);
		else if (letter === 'V') line([now[0], p[0]!]);
		else if (letter === 'C') {
			pieces.at(-1)?.push(p);
			now = [p[4]!, p[5]!];
		} else if (letter === 'Q') {
			// A quadratic curve as the cubic one that it is.
			const [qx, qy, x, y] = p as [number, number, number, number];
			const third = (a: number, q: number) => a + (2 / 3) * (q - a);
			pieces.at(-1)?.push([third(now[0], qx), third(now[1], qy), third(x, qx), third(y, qy), x, y]);
			now = [x, y];
		}
	});
	return pieces;
}

/** The square about the ends and the handles of a shape: its middle, and half of its longer side. */
function boxOf(piece: readonly Move[]): { x: number; y: number; half: number } {
	const of = (side: 0 | 1) => piece.flatMap((m) => m.filter((_, i) => i % 2 === side));
	const [xs, ys] = [of(0), of(1)];
	const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
	return { x: (left + right) / 2, y: (top + bottom) / 2, half: Math.max(right - left, bottom - top) / 2 };
}
const roomOf = (piece: readonly Move[]): number => boxOf(piece).half;
