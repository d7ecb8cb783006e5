/** Where a pointer is, CSS pixels. */
export interface Finger {
	readonly x: number;
	readonly y: number;
}

/** What two fingers did since the last look: farther apart, turned about each other, and moved together. */
export interface Pinch {
	readonly apart: number;
	/** Degrees, clockwise. */
	readonly turn: number;
	readonly dx: number;
	readonly dy: number;
	readonly middle: Finger;
}

const middle = (a: Finger, b: Finger): Finger => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** Two fingers before and after. Fingers that lie on each other say nothing of distance and angle. */
export function pinch(before: readonly [Finger, Finger], after: readonly [Finger, Finger]): Pinch {
	const [a, b] = [middle(...before), middle(...after)];
	const span = ([p, q]: readonly [Finger, Finger]) => Math.hypot(q.x - p.x, q.y - p.y);
	const angle = ([p, q]: readonly [Finger, Finger]) => Math.atan2(q.y - p.y, q.x - p.x);
	const [was, is] = [span(before), span(after)];
	const close = was < 1 || is < 1;
	const turned = close ? 0 : angle(after) - angle(before);
	return {
		apart: close ? 1 : is / was,
		turn: (Math.atan2(Math.sin(turned), Math.cos(turned)) * 180) / Math.PI,
		dx: b.x - a.x,
		dy: b.y - a.y,
		middle: b
	};
}
