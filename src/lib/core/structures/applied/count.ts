import { pointOf, type Stretch } from '../../geometry/path.ts';
import type { Ball } from '../../geometry/ring.ts';
import type { Side } from '../../document/side.ts';
import type { CountOf } from '../../document/rule.ts';
import type { TaskCount } from '../../labour/task.ts';
import type { MaterialKind } from '../../materials/material.ts';
import type { Applied, AppliedPiece, Fixing } from './document.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { rational } from '../../units/rational.ts';
import { innerBall, insideNeeds, ownNeed, ownTasks, type InnerBall } from '../kit/filled.ts';
import type { Need, StructureDefinition } from '../kit/need.ts';

/** What a fixing takes, for follow-on rules to turn into lines; what is tucked in takes nothing. */
export const FIXING_COUNTS: Readonly<Record<Fixing, readonly CountOf[]>> = {
	strip: ['strip'],
	dash: ['dash of adhesive'],
	glue: ['dab of glue'],
	'patch and strip': ['tape patch', 'strip'],
	tie: ['tied piece'],
	tucked: [],
	'trial loop': ['trial loop'],
	'attachment point': ['attachment point']
};

export const countOfPiece = ({ on }: AppliedPiece): number => on.reduce((a, { count }) => a + count, 0);

function needs({ pieces }: Applied, colourway: Colourway | undefined): Need[] {
	return pieces.flatMap((piece) => {
		const count = countOfPiece(piece);
		const { what } = piece;
		const thing: Need =
			what.kind === 'material'
				? {
						what: 'material',
						material: what.material,
						label: piece.name,
						quantity: rational(count),
						...(what.flat === null ? {} : { foil: { flat: what.flat, look: 'creased', gas: 'air' } })
					}
				: ownNeed(what.balloon, colourway, count);
		const fixings = rational(piece.each).mul(count);
		const fixed = fixings.equals(0) ? [] : FIXING_COUNTS[piece.fixing];
		const inside = what.kind === 'balloon' ? insideNeeds(what.balloon, colourway, count) : [];
		return [thing, ...inside, ...fixed.map((of): Need => ({ what: 'count', of, quantity: fixings }))];
	});
}

function tasks({ pieces }: Applied): TaskCount[] {
	const found: TaskCount[] = [];
	for (const piece of pieces) {
		const count = countOfPiece(piece);
		if (piece.what.kind === 'balloon') found.push(...ownTasks(piece.what.balloon, count));
		else if (piece.what.flat !== null) found.push({ task: 'foil', method: 'hole', count, batches: [] });
		found.push({ task: 'fix', method: 'hole', count, batches: [] });
	}
	return found;
}

/** Faces, wings, spots: pieces on a host. */
export const applied = {
	id: 'applied',
	words: 'pieces on a host',
	balloons: ({ pieces }) => pieces.reduce((a, p) => a + (p.what.kind === 'balloon' ? countOfPiece(p) : 0), 0),
	needs,
	tasks
} satisfies StructureDefinition<Applied>;

/** A piece where it sits on its host, mm in the coordinates of the host. */
export interface AppliedBall {
	/** Empty is the section itself. */
	readonly piece: Id;
	readonly ball: Ball;
	readonly slot: Id | null;
	readonly material: Id | null;
	readonly kind: MaterialKind | null;
	/** Which way its face looks in plan, a direction of length 1: to the audience, or outwards where it goes round. */
	readonly looks: readonly [number, number];
	/** A balloon inside it, seen where the outer one is see-through. */
	readonly inside?: InnerBall | undefined;
	/** Balloons of the host that it covers, seen from where it looks to. */
	readonly hides: number;
}

/** What a host can answer: its rows and places, by their ids, and all its balls. */
export interface HostShape {
	/** Rings of a row, floor first. */
	readonly rows: ReadonlyMap<Id, readonly (readonly Ball[])[]>;
	readonly places: ReadonlyMap<Id, Ball>;
	readonly balls: readonly Ball[];
	/** Items of a bunch, by their ids too: what is fixed to one of them hangs. */
	readonly items: ReadonlySet<Id>;
	/** Where a run goes: pieces sit on a point of it. */
	readonly path?: readonly Stretch[] | undefined;
}

export interface PlacedApplied {
	readonly balls: readonly AppliedBall[];
	/** Pieces with a host that is not there. */
	readonly lost: readonly Id[];
}

/** Inflated radius of a two-disc foil over its flat radius. Source: Paulsen, Amer. Math. Monthly 101 (1994). */
export const FOIL_RADIUS = 0.7627;

/** Directions of the four sides in plan; the audience stands at negative y. */
const ANGLE: Readonly<Record<Exclude<Side, 'all'>, number>> = {
	front: -Math.PI / 2,
	back: Math.PI / 2,
	left: Math.PI,
	right: 0
};

/** Diameter a piece is drawn at, mm; 60 for what is not inflated and has no size: a card, a flower. House rule. */
function widthOf({ what }: AppliedPiece, pumps: readonly PumpProfile[]): number {
	if (what.kind === 'balloon') return resolveSize(what.balloon.size, what.balloon.nominal, pumps).assumed;
	return what.flat === null ? 60 : (what.flat / 1000) * FOIL_RADIUS;
}

/**
 * Seats every piece on its host: against the outside of a row, side by side on the side asked for or evenly round it;
 * outward on a place or on another piece; on a wall where it is said. House rules: the picture shows them.
 */
export function placeApplied(
	{ pieces }: Applied,
	host: HostShape,
	pumps: readonly PumpProfile[] = []
): PlacedApplied {
	const balls: AppliedBall[] = [];
	const lost = new Set<Id>();
	const seated = new Map<Id, Ball[]>();
	// Pieces on other pieces come after those that carry them.
	for (const piece of inOrder(pieces)) {
		const d = widthOf(piece, pumps);
		const slot = piece.what.kind === 'balloon' ? piece.what.balloon.slot : null;
		const material = piece.what.kind === 'balloon' ? piece.what.balloon.material : piece.what.material;
		const kind = piece.what.kind === 'balloon' ? piece.what.balloon.kind : null;
		const inside = piece.what.kind === 'balloon' ? innerBall(piece.what.balloon, pumps) : undefined;
		for (const { host: at, count } of piece.on) {
			const seats = seatsOn(at, count, d, host, seated);
			if (!seats) lost.add(piece.id);
			for (const ball of seats ?? []) {
				seated.set(piece.id, [...(seated.get(piece.id) ?? []), ball]);
				const looks = looksTo(at, ball);
				balls.push({
					piece: piece.id,
					ball,
					slot,
					material,
					kind,
					looks,
					inside,
					hides: hiddenBy(ball, host.balls)
				});
			}
		}
	}
	return { balls, lost: [...lost] };
}

/** House rule: flat pieces look to the audience, behind the piece away from it, and outwards where they go round. */
function looksTo(host: Host, ball: Ball): readonly [number, number] {
	if (host.on !== 'layer' || host.side === 'front') return [0, -1];
	if (host.side === 'back') return [0, 1];
	const out = Math.hypot(ball.x, ball.y);
	return host.side === 'all' && out > 1e-6 ? [ball.x / out, ball.y / out] : [0, -1];
}

function inOrder(pieces: readonly AppliedPiece[]): AppliedPiece[] {
	const depth = (piece: AppliedPiece, seen = 0): number => {
		if (seen > pieces.length) return seen;
		const under = piece.on.flatMap(({ host }) => (host.on === 'piece' ? [host.piece] : []));
		const below = pieces.filter((p) => under.includes(p.id));
		return below.length === 0 ? seen : Math.max(...below.map((p) => depth(p, seen + 1)));
	};
	return [...pieces].sort((a, b) => depth(a) - depth(b));
}

/** Where so many pieces of a width sit on a host; undefined where it is not there. */
export function seatsOn(
	host: AppliedPiece['on'][number]['host'],
	count: number,
	d: number,
	shape: HostShape,
	seated: ReadonlyMap<Id, readonly Ball[]>
): Ball[] | undefined {
	switch (host.on) {
		case 'wall':
			return row(count, d).map((x) => ({ x: host.across / 1000 + x, y: 0, z: host.height / 1000, d }));
		case 'path':
			return onPath(host.at / 1000, count, d, shape);
		case 'place': {
			const under = shape.places.get(host.place);
			return under && outward(under, count, d);
		}
		case 'piece': {
			// Two pupils on two eyes: one on each, in turn.
			const under = seated.get(host.piece);
			return under?.flatMap((ball, i) => {
				const own = Math.floor(count / under.length) + (i < count % under.length ? 1 : 0);
				return outward(ball, own, d);
			});
		}
		case 'layer': {
			const rings = shape.rows.get(host.layer);
			if (!rings || rings.length === 0) return undefined;
			// Over a row of several rings the pieces are spread from the lowest to the highest.
			return Array.from({ length: count }, (_, i) => {
				const ring = rings[Math.min(rings.length - 1, Math.floor((i * rings.length) / count))]!;
				return againstRing(ring, host.side, i, count, d);
			});
		}
	}
}

/** Before the audience on what is thickest about a point of a run, several side by side along it. */
function onPath(at: number, count: number, d: number, { path = [], balls }: HostShape): Ball[] | undefined {
	let left = at;
	const stretch = path.find((s) => {
		if (left <= s.length + 1e-6) return true;
		left -= s.length;
		return false;
	});
	if (!stretch) return undefined;
	return row(count, d).map((along) => {
		const { point } = pointOf(stretch, left + along);
		const front = balls.reduce((a, b) => {
			const near = Math.hypot(b.x - point.x, b.z - point.z) < (b.d + d) / 2;
			return near ? Math.min(a, b.y - b.d / 2) : a;
		}, point.y);
		// Pressed a little into what carries it.
		return { x: point.x, y: front - d * 0.35, z: point.z, d };
	});
}

/** Places of a row side by side about the middle, mm. */
const row = (count: number, d: number): number[] =>
	Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * d);

/** Against a ball, away from the axis; a ball on the axis is met from the front. Several stand side by side. */
function outward(under: Ball, count: number, d: number): Ball[] {
	const radius = Math.hypot(under.x, under.y);
	const [ux, uy] = radius < 1e-6 ? [0, -1] : [under.x / radius, under.y / radius];
	const reach = (under.d + d) / 2;
	return row(count, d).map((along) => {
		const out = Math.sqrt(Math.max(0, reach * reach - along * along));
		return { x: under.x + ux * out - uy * along, y: under.y + uy * out + ux * along, z: under.z, d };
	});
}

function againstRing(ring: readonly Ball[], side: Side, index: number, count: number, d: number): Ball {
	const z = ring.reduce((a, b) => a + b.z, 0) / ring.length;
	const reach = Math.max(...ring.map((b) => Math.hypot(b.x, b.y) + b.d / 2)) + d / 2;
	if (side === 'all') {
		const angle = ANGLE.front + (2 * Math.PI * index) / count;
		return { x: reach * Math.cos(angle), y: reach * Math.sin(angle), z, d };
	}
	const along = row(count, d)[index]!;
	const turn = Math.asin(Math.max(-1, Math.min(1, along / reach)));
	const angle = ANGLE[side] + turn;
	return { x: reach * Math.cos(angle), y: reach * Math.sin(angle), z, d };
}

/** Balls of the host whose middle lies behind a piece, looking straight at it from outside. */
function hiddenBy(piece: Ball, balls: readonly Ball[]): number {
	const radius = Math.hypot(piece.x, piece.y);
	if (radius < 1e-6) return 0;
	const [ux, uy] = [piece.x / radius, piece.y / radius];
	return balls.filter((b) => {
		const out = b.x * ux + b.y * uy;
		if (out <= 0 || out >= radius) return false;
		const across = b.x * -uy + b.y * ux;
		return Math.hypot(across, b.z - piece.z) < piece.d / 2;
	}).length;
}
