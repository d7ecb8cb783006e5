import { across, pointOf, type PathPoint, type Stretch } from '../geometry/path.ts';
import { seeded } from '../geometry/random.ts';
import { Relaxing, type Moving } from '../geometry/relax.ts';
import type { Seen, Thicker } from '../recipe/run.ts';

/** What is to be packed, as plain data: it goes to a worker as it is. */
export interface PackJob {
	/** Of everything that follows: the same key, the same picture. */
	readonly key: string;
	readonly stretches: readonly Stretch[];
	/** Inflated diameter of each part of the mix, mm, and its share; shares are taken as they stand to each other. */
	readonly sizes: readonly number[];
	readonly shares: readonly number[];
	readonly seen: Seen;
	readonly fullness: number;
	readonly thicker: Thicker;
	readonly seed: number;
	/** So many of each part and no more; null fills gaps until none is over the limit. */
	readonly counts: readonly number[] | null;
}

export interface PackedBall {
	readonly part: number;
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly d: number;
	/** Along the path, mm. */
	readonly at: number;
}

export interface Placed {
	readonly key: string;
	readonly balls: readonly PackedBall[];
	/** Balls of each part. */
	readonly counts: readonly number[];
}

export interface Packing extends Placed {
	/** The widest gap one could look through to the spine, and the limit there is for it, mm. */
	readonly gap: number;
	readonly limit: number;
	/** How far two balls are into each other, as a share of their touching distance. */
	readonly overlap: number;
}

/** Most balls packed: longer runs are counted by the other schools. */
export const MOST_PACKED = 4000;
/** How far latex gives where two balls press, share of their touching distance. House rule. */
const GIVE = 0.12;
/**
 * Balls a length of their own mean diameter takes all round. Quads nested at the default squash are 4 / (0.8 × 0.707) = 7,
 * one ball thick; a full garland of mixed sizes is half as much again. House rule.
 */
const ROUND = 10.5;
/** Share of that where a wall or a table takes a side. House rule. */
const SHOWN: Readonly<Record<Seen, number>> = { 'all round': 1, wall: 0.72, table: 0.72 };
/** A gap is too wide where half of the smallest balloon fits into it. House rule. */
const GAP = 0.5;
/** Share of the way back to its place on the spine that a ball is drawn each round: less and less, so that they come apart. */
const PULL = { first: 0.03, then: 0.01, last: 0.002 } as const;
/** How far out small ones may sit, share of the way to the outside of the largest. House rule. */
const OUT = 0.9;
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

/** How much fuller a run is at a share of its length than where it is thinnest; its mean is 1. House rule. */
function thickness(thicker: Thicker, t: number): number {
	switch (thicker) {
		case 'even':
			return 1;
		case 'middle':
			return 0.6 + 0.4 * (Math.PI / 2) * Math.sin(Math.PI * t);
		case 'start':
			return 1.4 - 0.8 * t;
		case 'end':
			return 0.6 + 0.8 * t;
	}
}

/** Smallest gap limit of a job, mm. */
export const gapLimit = ({ sizes, fullness }: Pick<PackJob, 'sizes' | 'fullness'>): number =>
	(GAP * Math.min(...sizes)) / fullness;

const lengthOf = (stretches: readonly Stretch[]): number => stretches.reduce((a, s) => a + s.length, 0);

/** How many balls a job begins with. */
export function firstCount({
	stretches,
	sizes,
	shares,
	seen,
	fullness,
	counts
}: Omit<PackJob, 'key'>): number {
	if (counts) return counts.reduce((a, c) => a + c, 0);
	const all = shares.reduce((a, s) => a + s, 0);
	const mean = sizes.reduce((a, d, i) => a + (d * shares[i]!) / all, 0);
	return Math.max(1, Math.round((fullness * SHOWN[seen] * ROUND * lengthOf(stretches)) / mean));
}

/** Takes parts in turn so that every stretch of the run has its share of each. */
class Turns {
	readonly #given: number[];
	/** @param exact shares are counts: no part comes more often than its own */
	constructor(
		private readonly shares: readonly number[],
		private readonly exact: boolean
	) {
		this.#given = shares.map(() => 0);
	}
	/** The part that is furthest behind among those that may come. */
	next(may: (part: number) => boolean = () => true): number {
		const all = this.#given.reduce((a, g) => a + g, 0) + 1;
		const whole = this.shares.reduce((a, s) => a + s, 0);
		let best = -1;
		let behind = -Infinity;
		this.shares.forEach((share, part) => {
			if (share <= 0 || !may(part) || (this.exact && this.#given[part]! >= share)) return;
			const by = (share / whole) * all - this.#given[part]!;
			if (by > behind) [best, behind] = [part, by];
		});
		if (best >= 0) this.#given[best]!++;
		return best;
	}
}

interface Tied {
	readonly part: number;
	readonly at: number;
	readonly point: PathPoint;
	/** Distance it likes to keep from the spine. */
	readonly reach: number;
}

/** A run being packed: balls tied to a spine, pushed apart, held on or over wall, table and floor. */
class Packer {
	readonly #job: PackJob;
	readonly #balls: Moving[] = [];
	readonly #tied: Tied[] = [];
	readonly #relaxing: Relaxing;
	readonly #turns: Turns;
	readonly #whole: number;
	readonly #lowest: number;
	readonly #largest: number;
	#pull: number = PULL.first;

	constructor(job: PackJob) {
		this.#job = job;
		this.#whole = lengthOf(job.stretches);
		this.#lowest = Math.min(...job.stretches.flatMap((s) => s.points.map((p) => p.z)));
		this.#largest = Math.max(...job.sizes);
		this.#turns = new Turns(job.counts ?? job.shares, job.counts !== null);
		this.#relaxing = new Relaxing(this.#balls, GIVE, (ball, index) => this.#hold(ball, index));
		this.#seed();
	}

	/** @param pull how strongly necks draw balls back to the spine */
	rounds(n: number, pull: number) {
		this.#pull = pull;
		this.#relaxing.rounds(n);
	}

	/** Sets balls where gaps are too wide. @returns how many came */
	fill(): number {
		const { sizes } = this.#job;
		const limit = gapLimit(this.#job);
		const smallest = sizes.indexOf(Math.min(...sizes));
		const gaps = this.#gaps().filter((g) => 2 * g.hole > limit);
		gaps.sort((a, b) => b.hole - a.hole);
		const set: { at: number; angle: number; wide: number }[] = [];
		for (const { at, angle, hole, out } of gaps) {
			if (this.#balls.length >= MOST_PACKED || set.length > 80) break;
			const near = set.some((s) => Math.hypot(s.at - at, apart(s.angle, angle) * out) < s.wide);
			if (near) continue;
			const fits = this.#turns.next((part) => sizes[part]! <= 5 * hole || part === smallest);
			const part = fits < 0 ? smallest : fits;
			this.#add(part, at, angle, sizes[part]! / 2);
			set.push({ at, angle, wide: sizes[part]! * 1.2 });
		}
		if (set.length > 0) this.#relaxing.anew();
		return set.length;
	}

	/** Where the balls are. Gaps are not looked for: that takes longer than a first picture may. */
	placed(): Placed {
		const { key, sizes } = this.#job;
		const counts = sizes.map(() => 0);
		const balls = this.#balls.map(({ x, y, z, r }, i) => {
			const { part, at } = this.#tied[i]!;
			counts[part]!++;
			return { part, x, y, z, d: 2 * r, at };
		});
		return { key, balls, counts };
	}

	result(): Packing {
		const gap = this.#gaps().reduce((a, g) => Math.max(a, 2 * g.hole), 0);
		return { ...this.placed(), gap, limit: gapLimit(this.#job), overlap: this.#relaxing.overlap() };
	}

	/** Balls along the run by its thickness, round it by the golden angle: evenly, and never in a line. */
	#seed() {
		const { thicker, sizes, seed } = this.#job;
		const chance = seeded(seed);
		const count = Math.min(MOST_PACKED, firstCount(this.#job));
		const first = chance() * 2 * Math.PI;
		// Where the share of all the balls that stand before it reaches the middle of this one.
		const steps = 400;
		const sums = [0];
		for (let i = 0; i < steps; i++) sums.push(sums[i]! + thickness(thicker, (i + 0.5) / steps));
		let cell = 0;
		for (let i = 0; i < count; i++) {
			const wanted = ((i + 0.5) / count) * sums[steps]!;
			while (cell < steps - 1 && sums[cell + 1]! < wanted) cell++;
			const t = (cell + (wanted - sums[cell]!) / (sums[cell + 1]! - sums[cell]!)) / steps;
			const part = this.#turns.next();
			const at = Math.max(0, Math.min(1, t + ((chance() - 0.5) * 0.6) / count)) * this.#whole;
			const r = sizes[part]! / 2;
			// Large ones sit on the spine; small ones anywhere up to where the large ones end.
			const reach = r + Math.sqrt(chance()) * OUT * (this.#largest - 2 * r);
			this.#add(part, at, this.#turned(first + i * GOLDEN), reach);
		}
	}

	/** An angle of the whole round moved into what is seen: 0 is towards the audience. */
	#turned(angle: number): number {
		const share = (((angle / (2 * Math.PI)) % 1) + 1) % 1;
		switch (this.#job.seen) {
			case 'all round':
				return share * 2 * Math.PI;
			case 'wall':
				return (share - 0.5) * Math.PI;
			case 'table':
				return share * Math.PI;
		}
	}

	#add(part: number, at: number, angle: number, reach: number) {
		const { point, out } = this.#spine(at, angle);
		const r = this.#job.sizes[part]! / 2;
		this.#balls.push({
			x: point.x + out.x * reach,
			y: point.y + out.y * reach,
			z: point.z + out.z * reach,
			r
		});
		this.#tied.push({ part, at, point, reach });
		this.#hold(this.#balls.at(-1)!, this.#balls.length - 1);
	}

	/** The spine at a length along all stretches, and which way an angle about it points. */
	#spine(at: number, angle: number): { point: PathPoint; out: PathPoint } {
		let left = at;
		let stretch = this.#job.stretches[0]!;
		for (const one of this.#job.stretches) {
			stretch = one;
			if (left <= one.length) break;
			left -= one.length;
		}
		const { point, way } = pointOf(stretch, Math.min(left, stretch.length));
		const [away, over] = across(way);
		const [cos, sin] = [-Math.cos(angle), Math.sin(angle)];
		return {
			point,
			out: {
				x: away.x * cos + over.x * sin,
				y: away.y * cos + over.y * sin,
				z: away.z * cos + over.z * sin
			}
		};
	}

	/** Necks hold balls to the spine; walls, tables and floors hold them out. */
	#hold(ball: Moving, index: number) {
		const { point, reach } = this.#tied[index]!;
		const [x, y, z] = [ball.x - point.x, ball.y - point.y, ball.z - point.z];
		const far = Math.hypot(x, y, z);
		if (far > 1e-9) {
			const by = ((reach - far) / far) * this.#pull;
			ball.x += x * by;
			ball.y += y * by;
			ball.z += z * by;
		}
		const { seen } = this.#job;
		if (seen === 'wall') ball.y = Math.min(ball.y, -ball.r);
		if (seen === 'table') ball.z = Math.max(ball.z, this.#lowest + ball.r);
		ball.z = Math.max(ball.z, ball.r);
	}

	/** Looks from all seen sides to the spine: how wide each hole is, half of it, mm. */
	#gaps(): { at: number; angle: number; hole: number; out: number }[] {
		const { seen } = this.#job;
		const step = Math.max(12, gapLimit(this.#job) / 2);
		const out = this.#largest * 0.7;
		const turns = Math.max(8, Math.round((2 * Math.PI * out) / (step * 2)));
		const wide = 2 * this.#largest;
		const buckets: Moving[][] = [];
		this.#balls.forEach((ball, i) => (buckets[Math.floor(this.#tied[i]!.at / wide)] ??= []).push(ball));
		const found: { at: number; angle: number; hole: number; out: number }[] = [];
		for (let at = step / 2; at < this.#whole; at += step) {
			const here = Math.floor(at / wide);
			const near = [here - 1, here, here + 1].flatMap((b) => buckets[b] ?? []);
			for (let k = 0; k < turns; k++) {
				const angle = (2 * Math.PI * k) / turns;
				if (seen === 'wall' && Math.cos(angle) < 0.3) continue;
				const { point, out: way } = this.#spine(at, angle);
				if (seen === 'table' && way.z < 0.3) continue;
				// Towards the floor nobody looks.
				if (point.z + way.z * out < 0) continue;
				let hole = Infinity;
				for (const b of near) {
					const [x, y, z] = [b.x - point.x, b.y - point.y, b.z - point.z];
					const t = x * way.x + y * way.y + z * way.z;
					if (t < 0) continue;
					hole = Math.min(hole, Math.sqrt(Math.max(0, x * x + y * y + z * z - t * t)) - b.r);
					if (hole <= 0) break;
				}
				if (hole > 0) found.push({ at, angle, hole: Math.min(hole, wide), out });
			}
		}
		return found;
	}
}

const apart = (a: number, b: number): number => {
	const by = Math.abs(a - b) % (2 * Math.PI);
	return Math.min(by, 2 * Math.PI - by);
};

/** How the first rough picture is relaxed, how a packing is, and how often gaps are filled. */
const [ROUGH, ROUNDS, AFTER, FILLS] = [8, 100, 20, 40];

/**
 * Packs a run, telling how far it is, 0 to 1, between its rounds. Balls are set along the path, relaxed, and set into
 * gaps until none is over the limit. House model: balls on a spine, rigid but for what latex gives.
 */
export function* packing(job: PackJob): Generator<number, Packing> {
	const packer = new Packer(job);
	for (let i = 0; i < 5; i++) {
		packer.rounds(ROUNDS / 5, i < 2 ? PULL.first : PULL.then);
		yield (i + 1) / 10;
	}
	packer.rounds(AFTER, PULL.last);
	// What has come is at rest when the gaps are looked at; where there are none it is left as it is.
	for (let i = 0; job.counts === null && i < FILLS && packer.fill() > 0; i++) {
		packer.rounds(AFTER, PULL.last);
		yield 0.5 + (0.5 * (i + 1)) / FILLS;
	}
	return packer.result();
}

export function packNow(job: PackJob): Packing {
	const going = packing(job);
	for (;;) {
		const step = going.next();
		if (step.done) return step.value;
	}
}

/** A first picture, at once: the same balls, hardly relaxed. */
export function packRoughly(job: PackJob): Placed {
	const packer = new Packer(job);
	packer.rounds(ROUGH, PULL.first);
	return packer.placed();
}
