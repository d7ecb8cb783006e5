/** A point of a plane, mm. */
export type PlanePoint = readonly [x: number, y: number];

const turn = (a: PlanePoint, b: PlanePoint, c: PlanePoint): number =>
	(b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/**
 * Corners of the smallest convex outline round points, counterclockwise from the lowest left; two of points on a line, one of one.
 *
 * Source: Andrew, “Another efficient algorithm for convex hulls in two dimensions” (1979), the monotone chain.
 */
export function convexHull(points: readonly PlanePoint[]): PlanePoint[] {
	const sorted = [...new Map(points.map((p) => [p.join(), p])).values()].sort(
		(a, b) => a[0] - b[0] || a[1] - b[1]
	);
	if (sorted.length < 3) return sorted;
	const half = (all: readonly PlanePoint[]): PlanePoint[] => {
		const chain: PlanePoint[] = [];
		for (const p of all) {
			while (chain.length > 1 && turn(chain.at(-2)!, chain.at(-1)!, p) <= 1e-9) chain.pop();
			chain.push(p);
		}
		return chain.slice(0, -1);
	};
	return [...half(sorted), ...half(sorted.toReversed())];
}

/**
 * How far a point is inside a convex outline, mm: the distance to its nearest edge; below 0 outside. On a line or a single
 * point nothing is inside: 0 or less.
 * @param hull as {@link convexHull} makes it
 */
export function insideBy(hull: readonly PlanePoint[], point: PlanePoint): number {
	if (hull.length === 0) return -Infinity;
	if (hull.length < 3) return -toSegment(hull[0]!, hull.at(-1)!, point);
	const edges = hull.map((a, i) => {
		const b = hull[(i + 1) % hull.length]!;
		return { left: turn(a, b, point) >= 0, far: toSegment(a, b, point) };
	});
	const nearest = Math.min(...edges.map((e) => e.far));
	return edges.every((e) => e.left) ? nearest : -nearest;
}

/** Distance to a stretch from one point to another, mm. */
function toSegment(a: PlanePoint, b: PlanePoint, p: PlanePoint): number {
	const [x, y] = [b[0] - a[0], b[1] - a[1]];
	const long = x * x + y * y;
	const at = long === 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * x + (p[1] - a[1]) * y) / long));
	return Math.hypot(p[0] - a[0] - at * x, p[1] - a[1] - at * y);
}
