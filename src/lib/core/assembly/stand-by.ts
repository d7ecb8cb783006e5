import { nestedIn } from '../structures/registry/refs.ts';
import { restingHeight } from '../geometry/resting.ts';
import type { Ball } from '../geometry/ring.ts';
import type { Section } from '../recipe/recipe.ts';
import { seatsOn } from '../structures/kit/seats.ts';
import { rational } from '../units/rational.ts';
import { pointAt, type Room, type Spot } from '../structures/kit/spot.ts';

const SIDE: Readonly<Record<string, readonly [number, number]>> = {
	left: [-1, 0],
	right: [1, 0],
	front: [0, -1],
	back: [0, 1]
};

/** Where the copies of a section sit on what it is fixed at, by the foot; undefined where that is not there. */
function sitOn(section: Section, shape: Room, from: Spot, host: Room): Spot[] | undefined {
	const { at, gap: um } = section.stand;
	if (at === undefined) return undefined;
	const way = 'way' in at ? at.way : at.on === 'layer' ? at.side : undefined;
	const gap = um / 1000;
	const d = 2 * (shape.half[way === 'front' || way === 'back' ? 1 : 0] + gap);
	const seats = seatsOn(at, section.times * eachOf(section), d, host.host, new Map());
	return seats?.map((seat, i) => {
		const foot =
			way === 'up'
				? seat.z - d / 2 + gap
				: way === 'down'
					? seat.z + d / 2 - gap - shape.top
					: seat.z - lowestMiddle(shape);
		// Round a row each has its front outwards, everything else looks to the audience.
		const turn = way === 'all' ? Math.atan2(seat.y, seat.x) + Math.PI / 2 : 0;
		const mirrored = from.mirrored !== (section.mirror && i % 2 === 1);
		const spot = pointAt(from, { ...seat, z: foot });
		return { ...spot, z: Math.max(0, spot.z), mirrored, turn: from.turn + turn };
	});
}

/** Where the copies of a section stand by what carries it at one of its spots. */
export function standBy(section: Section, shape: Room, at: Spot, host: Room): Spot[] {
	const seated = sitOn(section, shape, at, host);
	if (seated) return seated;
	const { how, height, layer, gap } = section.stand;
	const below = host;
	if (how === 'on top') {
		const foot = { ...at, z: at.z + restOn(shape, below) + gap / 1000 };
		return inRow(section, shape, foot, [1, 0], 0);
	}
	// Threaded over it, it begins where that does.
	if (how === 'over') return inRow(section, shape, { ...at, z: at.z + gap / 1000 }, [1, 0], 0);
	const side = SIDE[how] ?? SIDE.front!;
	const axis = side[0] === 0 ? 1 : 0;
	const rings = layer === null ? undefined : below.host.rows.get(layer);
	const z = rings ? at.z + middleOf(rings) - lowestMiddle(shape) : height === null ? at.z : height / 1000;
	const out = rings ? reachOf(rings.flat(), axis) : reachBetween(below, axis, z - at.z, z - at.z + shape.top);
	const reach = out + shape.half[axis] + gap / 1000;
	return how === 'round'
		? inRing(section, { ...at, z }, reach)
		: inRow(section, shape, { ...at, z }, side, reach);
}

/** Middle of a row's rings, mm. */
function middleOf(rings: readonly (readonly Ball[])[]): number {
	const balls = rings.flat();
	return balls.reduce((a, b) => a + b.z, 0) / balls.length;
}

/** Height of the lowest ball's middle over the foot: what is fixed at a row is fixed by that one. */
const lowestMiddle = ({ balls }: Room): number =>
	balls.length === 0 ? 0 : balls.reduce((a, b) => Math.min(a, b.z), Infinity);

const reachOf = (balls: readonly Ball[], axis: 0 | 1): number =>
	balls.reduce((a, { x, y, d }) => Math.max(a, Math.abs(axis === 0 ? x : y) + d / 2), 0);

/** How far a shape reaches from its axis between two heights; all of it where nothing of it lies there. mm */
function reachBetween(shape: Room, axis: 0 | 1, from: number, to: number): number {
	const level = shape.balls.filter(({ z, d }) => z + d / 2 > from && z - d / 2 < to);
	return level.length > 0 ? reachOf(level, axis) : shape.half[axis];
}

/** Height of the foot over the host's foot at which a shape comes to rest on it, mm. */
function restOn(shape: Room, host: Room): number {
	let lift: number | undefined;
	const lowest = shape.balls.filter((b) => b.z - b.d / 2 < b.d / 4);
	for (const ball of lowest) {
		const z = restingHeight(ball, host.balls, 1);
		if (z !== undefined && (lift === undefined || z - ball.z > lift)) lift = z - ball.z;
	}
	return lift ?? host.top;
}

/** The copies of a section evenly round its host, each with its front outwards; the first pair stands open to the front. */
function inRing(section: Section, from: Spot, reach: number): Spot[] {
	const count = section.times * eachOf(section);
	return Array.from({ length: count }, (_, i) => {
		const angle = -Math.PI / 2 + (2 * Math.PI * (i + 0.5)) / count;
		const out = pointAt(from, { x: reach * Math.cos(angle), y: reach * Math.sin(angle), z: 0 });
		const mirrored = from.mirrored !== (section.mirror && i % 2 === 1);
		return { ...out, mirrored, turn: from.turn + angle + Math.PI / 2 };
	});
}

/** Designs inside come in a quantity of their own. */
const eachOf = ({ structure }: Section): number =>
	Math.max(1, Math.round(rational(nestedIn(structure)?.quantity ?? '1').valueOf()));

/** The copies of a section: out to one side in a row; mirrored ones in pairs to both sides. */
export function inRow(
	section: Section,
	shape: Room,
	from: Spot,
	side: readonly [number, number],
	reach: number
): Spot[] {
	const { times, mirror } = section;
	const each = eachOf(section);
	const one = times * each === 1 && !(mirror && reach === 0);
	const width = one ? 0 : 2 * shape.half[side[0] === 0 ? 1 : 0] + section.stand.gap / 1000;
	return Array.from({ length: times * each }, (_, i) => {
		const turned = mirror && i % 2 === 1;
		const step = mirror ? Math.floor(i / 2) : i;
		// In the middle there are no two sides: a mirrored pair stands to the left and right of it.
		const start = mirror && reach === 0 ? width / 2 : reach;
		const out = (turned ? -1 : 1) * (start + step * width);
		return {
			x: from.x + side[0] * out * (from.mirrored ? -1 : 1),
			y: from.y + side[1] * out,
			z: from.z,
			mirrored: from.mirrored !== turned,
			turn: from.turn
		};
	});
}
