import { contours } from 'd3-contour';
import simplify from 'simplify-js';
import { got, refuse, type Parsed } from '../errors.ts';

/** A photo as it is looked at: rows of red, green, blue and opacity, 0 to 255. */
export interface Pixels {
	readonly width: number;
	readonly height: number;
	readonly data: ArrayLike<number>;
}
/** Longest side a photo is looked at with: an edge of 400 points needs no more. */
export const LOOKED_AT = 240;
/** How far a corner may be cut, pixels; and the least part of the photo that is a thing. House rules. */
const [CORNER, LEAST] = [0.8, 0.02];
/** Less apart than this from what is behind, of 441, nothing stands out at all. */
const STANDS_OUT = 24;

/**
 * The edge of the one thing a photo shows on a plain ground, or cut out already: what is joined to the border and looks
 * like it is ground, the largest of what is left is the thing, holes in it filled. How far a colour may be from the ground
 * is the split of all distances into two groups that are most alike in themselves (Otsu 1979, from memory); the edge is
 * followed by marching squares.
 *
 * @returns path data, `M… L… Z` in pixels; `refused` where nothing stands out from the ground
 */
export function edgeOfPhoto(photo: Pixels): Parsed<string> {
	const { width, height } = photo;
	const NOTHING = 'Nothing stands out in it. Take the photo on a plain ground of another colour, the whole thing in sight.';
	if (width < 8 || height < 8) return refuse('too-small', 'The photo is too small. Take a larger one.');
	const away = distances(photo);
	const limit = split(away);
	if (limit < STANDS_OUT) return refuse('refused', NOTHING);
	const thing = largest(away.map((d) => (d > limit ? 1 : 0)), width, height);
	if (!thing) return refuse('refused', NOTHING);
	const [found] = contours().size([width, height]).smooth(true).thresholds([0.5])([...thing]);
	const rings = found?.coordinates.map((polygon) => polygon[0]!) ?? [];
	const longest = rings.reduce<number[][]>((best, r) => (r.length > best.length ? r : best), []);
	const points = simplify(longest.map(([x, y]) => ({ x: x!, y: y! })), CORNER, true);
	if (points.length < 4) return refuse('refused', NOTHING);
	// It ends where it begins.
	const corners = points.slice(0, -1).map(({ x, y }) => `${Math.round(x * 100) / 100} ${Math.round(y * 100) / 100}`);
	return got(`M${corners.join('L')}Z`);
} // prettier-ignore

/** How far each pixel is from what the border mostly is, 0 to 441; see-through counts as ground. */
function distances({ width, height, data }: Pixels): number[] {
	const border: number[] = [];
	for (let x = 0; x < width; x++) border.push(x, (height - 1) * width + x);
	for (let y = 1; y < height - 1; y++) border.push(y * width, y * width + width - 1);
	const isClear = (i: number) => data[i * 4 + 3]! < 128;
	const solid = border.filter((i) => !isClear(i));
	const cut = solid.length < border.length / 2;
	const middle = (channel: number) => {
		const all = solid.map((i) => data[i * 4 + channel]!).sort((a, b) => a - b);
		return all[all.length >> 1] ?? 0;
	};
	const ground = [middle(0), middle(1), middle(2)];
	return Array.from({ length: width * height }, (_, i) => {
		if (isClear(i)) return 0;
		if (cut) return 441;
		return Math.hypot(...ground.map((g, c) => data[i * 4 + c]! - g));
	});
}

/** Where to split distances in two groups: the variance between them is greatest. */
function split(away: readonly number[]): number {
	const bins = new Array<number>(442).fill(0);
	for (const d of away) bins[Math.min(441, Math.round(d))]!++;
	const all = away.length;
	const sum = bins.reduce((a, n, d) => a + n * d, 0);
	let [below, belowSum, best, at] = [0, 0, -1, 0];
	bins.forEach((n, d) => {
		below += n;
		belowSum += n * d;
		if (below === 0 || below === all) return;
		const apart = belowSum / below - (sum - belowSum) / (all - below);
		const between = below * (all - below) * apart * apart;
		if (between > best) [best, at] = [between, d];
	});
	// Between the groups there may be nothing: the limit lies in the middle of that.
	let next = at + 1;
	while (next < bins.length && bins[next] === 0) next++;
	return next < bins.length ? (at + next) / 2 : at;
}

/** The largest thing that is joined, holes filled; undefined where it is next to nothing. */
function largest(mask: readonly number[], width: number, height: number): Float64Array | undefined {
	const part = new Int32Array(mask.length).fill(-1);
	const sizes: number[] = [];
	const grow = (from: number, is: (i: number) => boolean, name: number): number => {
		const todo = [from];
		part[from] = name;
		let size = 0;
		for (let i = todo.pop(); i !== undefined; i = todo.pop()) {
			size++;
			const x = i % width;
			for (const next of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
				if (next >= 0 && next < mask.length && part[next] === -1 && is(next)) {
					part[next] = name;
					todo.push(next);
				}
		}
		return size;
	};
	mask.forEach((m, i) => {
		if (m === 1 && part[i] === -1) sizes.push(grow(i, (n) => mask[n] === 1, sizes.length));
	});
	const best = sizes.indexOf(Math.max(...sizes, 0));
	if (best < 0 || sizes[best]! < LEAST * mask.length) return undefined;
	// What can be reached from the border without crossing it is not in it.
	const outside = new Uint8Array(mask.length);
	const todo: number[] = [];
	const reach = (i: number) => {
		if (outside[i] === 1 || part[i] === best) return;
		outside[i] = 1;
		todo.push(i);
	};
	for (let x = 0; x < width; x++) for (const i of [x, (height - 1) * width + x]) reach(i);
	for (let y = 0; y < height; y++) for (const i of [y * width, y * width + width - 1]) reach(i);
	for (let i = todo.pop(); i !== undefined; i = todo.pop()) {
		const x = i % width;
		if (x > 0) reach(i - 1);
		if (x < width - 1) reach(i + 1);
		if (i >= width) reach(i - width);
		if (i + width < mask.length) reach(i + width);
	}
	return Float64Array.from(outside, (o) => 1 - o);
}
