/** A disc of a picture, CSS pixels of the canvas; y downwards. */
export interface SightDisc {
	readonly x: number;
	readonly y: number;
	readonly r: number;
	/** Whether what lies behind can be seen through it. */
	readonly clear: boolean;
}

/** Pixels of one cell of the grid that remembers what is covered. */
const CELL = 2;
/** Half a cell's diagonal. */
const CORNER = CELL * 0.71;

/**
 * Which discs of a picture can be seen: from the front back, a disc is out of sight where every cell it touches is
 * covered by nearer ones. A cell counts as covered when a disc covers all of it, so that nothing seen is ever left out
 * but slivers finer than a cell.
 *
 * @param discs back to front
 * @param width of the canvas, pixels @param height of the canvas, pixels
 * @returns indices of the discs in sight, back to front
 */
export function inSight(discs: readonly SightDisc[], width: number, height: number): number[] {
	const columns = Math.max(1, Math.ceil(width / CELL));
	const rows = Math.max(1, Math.ceil(height / CELL));
	const covered = new Uint8Array(columns * rows);
	const seen: number[] = [];
	for (let i = discs.length - 1; i >= 0; i--) {
		const { x, y, r, clear } = discs[i]!;
		const [top, bottom] = [
			Math.max(0, Math.floor((y - r) / CELL)),
			Math.min(rows - 1, Math.floor((y + r) / CELL))
		];
		const [left, right] = [
			Math.max(0, Math.floor((x - r) / CELL)),
			Math.min(columns - 1, Math.floor((x + r) / CELL))
		];
		const touched = (r + CORNER) ** 2;
		const filled = r > CORNER ? (r - CORNER) ** 2 : -1;
		let visible = false;
		for (let row = top; row <= bottom; row++) {
			const cy = (row + 0.5) * CELL - y;
			for (let column = left; column <= right; column++) {
				const at = row * columns + column;
				if (covered[at]) continue;
				const cx = (column + 0.5) * CELL - x;
				const apart = cx * cx + cy * cy;
				if (apart > touched) continue;
				visible = true;
				if (!clear && apart <= filled) covered[at] = 1;
			}
		}
		if (visible) seen.push(i);
	}
	return seen.reverse();
}
