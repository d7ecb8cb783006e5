/** A ball that relaxing moves, mm. */
export interface Moving {
	x: number;
	y: number;
	z: number;
	readonly r: number;
}

/** Neighbours are looked for anew every so many rounds; in between they are those near enough to meet. */
const EVERY = 10;

/**
 * Pushes balls apart until they overlap no more than they give: position-based relaxation, a neighbour list from a grid
 * of cells as wide as the widest ball, rebuilt every ten rounds. `hold` puts each ball back where it may be: behind a
 * wall, over the floor, near its spine. The balls are moved in place; the same balls in the same order end alike.
 *
 * @param give share of the touching distance that two may be nearer: latex gives, marbles do not
 */
export class Relaxing {
	#pairs: Int32Array = new Int32Array(0);
	#count = 0;
	#round = 0;
	constructor(
		readonly balls: Moving[],
		private readonly give: number,
		private readonly hold: (ball: Moving, index: number) => void
	) {}

	rounds(n: number) {
		for (let i = 0; i < n; i++) {
			if (this.#round++ % EVERY === 0) this.#look();
			this.#push();
			for (let k = 0; k < this.balls.length; k++) this.hold(this.balls[k]!, k);
		}
	}

	/** The widest overlap left, as a share of the touching distance; 0 where none touch. */
	overlap(): number {
		this.#look();
		let worst = 0;
		for (let p = 0; p < this.#count; p += 2) {
			const [a, b] = [this.balls[this.#pairs[p]!]!, this.balls[this.#pairs[p + 1]!]!];
			const touch = a.r + b.r;
			worst = Math.max(worst, 1 - Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) / touch);
		}
		return worst;
	}

	/** New balls came: neighbours are looked for at the next round. */
	anew() {
		this.#round = 0;
	}

	#look() {
		const { balls } = this;
		const cell = 2.2 * balls.reduce((a, b) => Math.max(a, b.r), 1);
		const key = (i: number, j: number, k: number) => (i * 4099 + j) * 4099 + k;
		const cells = new Map<number, number[]>();
		const at = balls.map((b) => [b.x, b.y, b.z].map((v) => Math.floor(v / cell) + 2048));
		balls.forEach((_, index) => {
			const [i, j, k] = at[index]! as [number, number, number];
			const own = key(i, j, k);
			const cell = cells.get(own);
			if (cell) cell.push(index);
			else cells.set(own, [index]);
		});
		const found: number[] = [];
		balls.forEach((a, index) => {
			const [i, j, k] = at[index]! as [number, number, number];
			for (let di = -1; di <= 1; di++)
				for (let dj = -1; dj <= 1; dj++)
					for (let dk = -1; dk <= 1; dk++)
						for (const other of cells.get(key(i + di, j + dj, k + dk)) ?? []) {
							if (other <= index) continue;
							const b = balls[other]!;
							const near = (a.r + b.r) * 1.1;
							const [x, y, z] = [a.x - b.x, a.y - b.y, a.z - b.z];
							if (x * x + y * y + z * z < near * near) found.push(index, other);
						}
		});
		this.#pairs = Int32Array.from(found);
		this.#count = found.length;
	}

	#push() {
		const { balls } = this;
		for (let p = 0; p < this.#count; p += 2) {
			const [first, second] = [this.#pairs[p]!, this.#pairs[p + 1]!];
			const [a, b] = [balls[first]!, balls[second]!];
			const least = (a.r + b.r) * (1 - this.give);
			let [x, y, z] = [b.x - a.x, b.y - a.y, b.z - a.z];
			let far = Math.sqrt(x * x + y * y + z * z);
			if (far >= least) continue;
			if (far < 1e-9) {
				// Two in one point go apart by their numbers: no chance is needed.
				[x, y, z] = [Math.cos(first), Math.sin(first), Math.cos(second)];
				far = Math.hypot(x, y, z);
			}
			const by = (least - far) / far / 2;
			a.x -= x * by;
			a.y -= y * by;
			a.z -= z * by;
			b.x += x * by;
			b.y += y * by;
			b.z += z * by;
		}
	}
}
