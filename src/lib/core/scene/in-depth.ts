/** A point as a camera sees it, mm. */
export interface SeenPoint {
	readonly x: number;
	readonly y: number;
	readonly depth: number;
	/** How far out it is from the middle, whichever way it is turned. */
	readonly wide: number;
}

/**
 * Something long cut where it has come nearer or gone back by its own thickness: what goes round a column is before it in
 * front and behind it at the back.
 */
export function inDepth(points: readonly SeenPoint[], d: number): SeenPoint[][] {
	const found: SeenPoint[][] = [];
	let own: SeenPoint[] = [];
	for (const point of points) {
		own.push(point);
		if (Math.abs(point.depth - own[0]!.depth) < d || own.length < 2) continue;
		found.push(own);
		own = [point];
	}
	if (own.length > 1 || found.length === 0) found.push(own);
	return found;
}

/** How many of the discs, in the order they are drawn, lie behind a depth. */
export function firstNotBehind(order: readonly number[], depths: readonly number[], depth: number): number {
	let [low, high] = [0, order.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (depths[order[middle]!]! < depth - 0.01) low = middle + 1;
		else high = middle;
	}
	return low;
}
