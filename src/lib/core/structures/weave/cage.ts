import type { Id } from '../../document/id.ts';
import type { GridPoint, Place, Woven, WeaveGraph } from './grid.ts';
import type { Weave } from './document.ts';

/** Balloons round one ring of a rectangle. */
export const roundOf = ({ along, across }: { readonly along: number; readonly across: number }): number =>
	2 * (along + across);

/** A point so many balloons round the ring, from its left front corner on. */
function onRing(n: number, { along, across }: { readonly along: number; readonly across: number }): readonly [number, number] {
	if (n <= along) return [n, 0];
	if (n <= along + across) return [along, n - along];
	if (n <= 2 * along + across) return [2 * along + across - n, across];
	return [0, roundOf({ along, across }) - n];
} // prettier-ignore

/** Where posts stand: at every corner, and every so many balloons from the left front one. */
export function postsOf(
	size: { readonly along: number; readonly across: number },
	every: number
): readonly number[] {
	const { along, across } = size;
	const corners = [0, along, along + across, 2 * along + across];
	return Array.from({ length: roundOf(size) }, (_, n) => n).filter(
		(n) => corners.includes(n) || (every > 0 && n % every === 0)
	);
}

/** Balloons of a cage without those that hold it, counted without weaving it. */
export function cageCount({ base, cage }: Pick<Weave, 'base' | 'cage'>): number {
	if (!base || !cage) return 0;
	const posts = postsOf(base, cage.every).length * cage.post * (cage.rings - 1);
	return roundOf(base) * cage.rings + posts + (base.cross + cage.over) * base.across;
}

interface Strings {
	readonly row: Id | null;
	readonly slots: readonly (Id | null)[];
}

/**
 * Rings over each other, posts between them, cross pieces over the lowest and the topmost ring. The rows colour it from
 * below: ring, posts, ring, posts …, over and over. Where a post meets a ring is a `base` joint; between two posts
 * `edge` joints are held as is said of a boundary; inside posts and cross pieces joints are `inner`.
 */
export function cageGraph({ base, cage, take, of, stagger }: Weave, rows: readonly Strings[]): WeaveGraph {
	if (!base || !cage) return { woven: [], places: [], bays: [], width: 0, height: 0 };
	const { along, across } = base;
	const round = roundOf(base);
	const posts = postsOf(base, cage.every);
	const woven: Woven[] = [];
	const places: Place[] = [];
	const bays: GridPoint[] = [];
	const painter = (part: number) => {
		const own = rows.length > 0 ? rows[part % rows.length]! : { row: null, slots: [null] };
		let next = 0;
		return (from: GridPoint, to: GridPoint) =>
			void woven.push({ row: own.row, slot: own.slots[next++ % own.slots.length] ?? null, from, to });
	};
	for (let ring = 0; ring < cage.rings; ring++) {
		const z = ring * cage.post;
		const paint = painter(2 * ring);
		let edge = 0;
		for (let n = 0; n < round; n++) {
			const at: GridPoint = [...onRing(n, base), z];
			paint(at, [...onRing((n + 1) % round, base), z]);
			if (posts.includes(n)) places.push({ joint: 'base', at, end: 'both' });
			else if ((edge++ + ring * stagger) % of < take) places.push({ joint: 'edge', at, end: 'both' });
		}
		const crosses = (ring === 0 ? base.cross : 0) + (ring === cage.rings - 1 ? cage.over : 0);
		for (let c = 1; c <= crosses; c++) {
			const x = (c * along) / (crosses + 1);
			for (let i = 0; i < across; i++) {
				paint([x, i, z], [x, i + 1, z]);
				if (i > 0) places.push({ joint: 'inner', at: [x, i, z], end: 'both' });
			}
			places.push({ joint: 'ends', at: [x, 0, z], end: 'nozzle' }, { joint: 'ends', at: [x, across, z], end: 'tail' });
		}
		if (ring === cage.rings - 1) continue;
		const post = painter(2 * ring + 1);
		for (const [i, n] of posts.entries()) {
			const [x, y] = onRing(n, base);
			for (let k = 0; k < cage.post; k++) {
				post([x, y, z + k], [x, y, z + k + 1]);
				if (k > 0) places.push({ joint: 'inner', at: [x, y, z + k], end: 'both' });
			}
			const middle = (n + (posts[i + 1] ?? round)) / 2;
			bays.push([...between(middle, base), z + cage.post / 2]);
		}
	}
	return { woven, places, bays, width: along, height: (cage.rings - 1) * cage.post };
} // prettier-ignore

/** A point between two balloons of a ring as well. */
function between(n: number, size: { readonly along: number; readonly across: number }): readonly [number, number] {
	const [a, b] = [onRing(Math.floor(n), size), onRing(Math.ceil(n) % roundOf(size), size)];
	const part = n - Math.floor(n);
	return [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part];
} // prettier-ignore
