import { across, pointOf, type PathPoint } from '../../geometry/path.ts';
import { seeded } from '../../geometry/random.ts';
import { Relaxing, type Moving } from '../../geometry/relax.ts';
import type { Thicker } from './document.ts';
import {
	firstCount,
	gapLimit,
	lengthOf,
	MOST_PACKED,
	type Packing,
	type PackJob,
	type Placed
} from './pack-job.ts';

/** How far latex gives where two balls press, share of their touching distance. House rule. */
const GIVE = 0.12;
/** Share of the way back to its place on the spine that a ball is drawn each round: less and less, so that they come apart. */
export const PULL = { first: 0.03, then: 0.01, last: 0.002 } as const;
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
	/** One of a part went again. */
	gone(part: number) {
		this.#given[part]!--;
	}
	/** The part that is furthest ahead of its share. */
	ahead(): number {
		const all = this.#given.reduce((a, g) => a + g, 0) - 1;
		const whole = this.shares.reduce((a, s) => a + s, 0);
		const by = this.#given.map((g, i) => (g > 0 ? g - (this.shares[i]! / whole) * all : -Infinity));
		return by.indexOf(Math.max(...by));
	}
	/** The part that is furthest behind its share. */
	next(): number {
		const all = this.#given.reduce((a, g) => a + g, 0) + 1;
		const whole = this.shares.reduce((a, s) => a + s, 0);
		let best = -1;
		let behind = -Infinity;
		this.shares.forEach((share, part) => {
			if (share <= 0 || (this.exact && this.#given[part]! >= share)) return;
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
export class Packer {
	readonly #job: PackJob;
	readonly #balls: Moving[] = [];
	readonly #tied: Tied[] = [];
	readonly #relaxing: Relaxing;
	readonly #turns: Turns;
	readonly #whole: number;
	readonly #lowest: number;
	readonly #largest: number;
	#pull: number = PULL.first;

	/** @param share of the balls of a usual run to begin with */
	constructor(
		job: PackJob,
		private readonly share = 1
	) {
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
		const gaps = this.#gaps().filter((g) => 2 * g.hole > limit);
		gaps.sort((a, b) => b.hole - a.hole);
		const set: { at: number; angle: number; wide: number }[] = [];
		for (const { at, angle, out } of gaps) {
			if (this.#balls.length >= MOST_PACKED || set.length > 80) break;
			const near = set.some((s) => Math.hypot(s.at - at, apart(s.angle, angle) * out) < s.wide);
			if (near) continue;
			// The mix stays the mix: what is there is pushed aside for a large one.
			const part = this.#turns.next();
			this.#add(part, at, angle, sizes[part]! / 2);
			set.push({ at, angle, wide: sizes[part]! * 1.2 });
		}
		if (set.length > 0) this.#relaxing.anew();
		return set.length;
	}

	/**
	 * Takes balls out that leave no gap over the limit: each stops no line of sight alone. What opens as the others move
	 * into its place is seen afterwards.
	 * Never two that are near each other at once.
	 * @returns how many went
	 */
	thin(): number {
		const limit = gapLimit(this.#job) / 2;
		const alone = new Set<Moving>();
		this.#look(({ point, way, near }) => {
			let stops: Moving | undefined;
			for (const ball of near) {
				if (beside(ball, point, way) > limit) continue;
				if (stops) return;
				stops = ball;
			}
			if (stops) alone.add(stops);
		});
		const spare = this.#balls.flatMap((ball, i) => (alone.has(ball) ? [] : [i]));
		const out = new Set<number>();
		const most = Math.max(1, Math.floor(this.#balls.length / 12));
		const taken: number[] = [];
		while (out.size < most && this.#balls.length - out.size > 1) {
			// The mix stays the mix: one of the part that there is too much of goes, or none.
			const part = this.#turns.ahead();
			const i = spare.find((k) => {
				const { part: own, at } = this.#tied[k]!;
				return own === part && !out.has(k) && taken.every((t) => Math.abs(t - at) >= this.#largest);
			});
			if (i === undefined) break;
			taken.push(this.#tied[i]!.at);
			out.add(i);
			this.#turns.gone(part);
		}
		this.#keep((_, i) => !out.has(i));
		return out.size;
	}

	/** Whether a gap is over the limit from where guests stand. */
	isOpen(): boolean {
		const limit = gapLimit(this.#job);
		return this.#gaps().some((g) => 2 * g.hole > limit);
	}

	get count(): number {
		return this.#balls.length;
	}
	/** The balls as they are now, to come back to. */
	snapshot(): () => void {
		const balls = this.#balls.map((b) => ({ ...b }));
		const tied = [...this.#tied];
		return () => {
			this.#balls.splice(0, this.#balls.length, ...balls);
			this.#tied.splice(0, this.#tied.length, ...tied);
			this.#relaxing.anew();
		};
	}
	#keep(is: (ball: Moving, index: number) => boolean) {
		const kept = this.#balls.flatMap((ball, i) => (is(ball, i) ? [{ ball, tied: this.#tied[i]! }] : []));
		this.#balls.splice(0, this.#balls.length, ...kept.map((k) => k.ball));
		this.#tied.splice(0, this.#tied.length, ...kept.map((k) => k.tied));
		this.#relaxing.anew();
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
		const count = Math.max(1, Math.round(Math.min(MOST_PACKED, firstCount(this.#job)) * this.share));
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
		const { point, way } = this.#at(at);
		const [away, over] = across(way);
		return { point, out: turned(away, over, angle) };
	}

	#at(at: number): { point: PathPoint; way: PathPoint } {
		let left = at;
		let stretch = this.#job.stretches[0]!;
		for (const one of this.#job.stretches) {
			stretch = one;
			if (left <= one.length) break;
			left -= one.length;
		}
		return pointOf(stretch, Math.min(left, stretch.length));
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

	/** How wide each hole is, half of it, mm. */
	#gaps(): Gap[] {
		const found: Gap[] = [];
		const wide = 2 * this.#largest;
		this.#look(({ at, angle, out, point, way, near }) => {
			let hole = wide;
			for (const ball of near) {
				hole = Math.min(hole, beside(ball, point, way));
				if (hole <= 0) return;
			}
			found.push({ at, angle, out, hole });
		});
		return found;
	}

	/** Looks from all sides where guests stand to the spine, along every line of sight. */
	#look(see: (line: Sight) => void) {
		const { seen } = this.#job;
		const limit = gapLimit(this.#job);
		const step = Math.max(12, limit / 2);
		const out = this.#largest * 0.7;
		const turns = Math.max(8, Math.round((2 * Math.PI * out) / (step * 2)));
		const wide = 2 * this.#largest;
		const buckets: Moving[][] = [];
		this.#balls.forEach((ball, i) => (buckets[Math.floor(this.#tied[i]!.at / wide)] ??= []).push(ball));
		for (let at = step / 2; at < this.#whole; at += step) {
			const here = Math.floor(at / wide);
			const { point, way: along } = this.#at(at);
			const [away, over] = across(along);
			// What is further along than it is wide and the limit with it stops nothing here.
			const near = [here - 1, here, here + 1].flatMap((b) =>
				(buckets[b] ?? []).filter(
					({ x, y, z, r }) =>
						Math.abs((x - point.x) * along.x + (y - point.y) * along.y + (z - point.z) * along.z) <= r + limit
				)
			);
			for (let k = 0; k < turns; k++) {
				const angle = (2 * Math.PI * k) / turns;
				if (seen === 'wall' && Math.cos(angle) < 0.3) continue;
				const way = turned(away, over, angle);
				if (seen === 'table' && way.z < 0.3) continue;
				// Towards the floor nobody looks.
				if (point.z + way.z * out < 0) continue;
				see({ at, angle, out, point, way, near });
			}
		}
	}
}

/** A line of sight to the spine: where along the run, from which side, how far out, and the balls that may stop it. */
interface Sight {
	readonly at: number;
	readonly angle: number;
	readonly out: number;
	readonly point: PathPoint;
	readonly way: PathPoint;
	readonly near: readonly Moving[];
}

/** How far a ball stays beside a line that goes out from a point, mm; below 0 it stops it. */
function beside({ x, y, z, r }: Moving, point: PathPoint, way: PathPoint): number {
	const [dx, dy, dz] = [x - point.x, y - point.y, z - point.z];
	const t = dx * way.x + dy * way.y + dz * way.z;
	if (t < 0) return Infinity;
	return Math.sqrt(Math.max(0, dx * dx + dy * dy + dz * dz - t * t)) - r;
}

/** Which way an angle about the spine points: 0 is towards the audience. */
function turned(away: PathPoint, over: PathPoint, angle: number): PathPoint {
	const [cos, sin] = [-Math.cos(angle), Math.sin(angle)];
	return {
		x: away.x * cos + over.x * sin,
		y: away.y * cos + over.y * sin,
		z: away.z * cos + over.z * sin
	};
}

/** A line of sight that meets no ball: where along the run, from which side, how far out, half its width, mm. */
interface Gap {
	readonly at: number;
	readonly angle: number;
	readonly out: number;
	readonly hole: number;
}

const apart = (a: number, b: number): number => {
	const by = Math.abs(a - b) % (2 * Math.PI);
	return Math.min(by, 2 * Math.PI - by);
};
