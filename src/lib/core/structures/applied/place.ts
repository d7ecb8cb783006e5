import type { PictureFacet } from '../facets/picture.ts';
import { loosely } from '../kit/placed.ts';
import { type AppliedBall, FOIL_RADIUS, type HostShape, seatsOn } from '../kit/seats.ts';
import { carriersFirst } from '../kit/carriers-first.ts';
import type { Id } from '../../document/id.ts';
import type { AppliedPiece, Applied } from './document.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { Ball } from '../../geometry/ring.ts';
import { innerBall, paintedPart } from '../kit/filled.ts';
import type { Host } from '../../document/host.ts';
import type { Side } from '../../document/side.ts';

export interface PlacedApplied {
	readonly balls: readonly AppliedBall[];
	/** Pieces with a host that is not there. */
	readonly lost: readonly Id[];
}

/** Diameter a piece is drawn at, mm; 60 for what is not inflated and has no size: a card, a flower. House rule. */
export function widthOf({ what }: AppliedPiece, pumps: readonly PumpProfile[]): number {
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
	const shared = sharedBy(pieces);
	// Pieces on other pieces come after those that carry them.
	for (const piece of inOrder(pieces)) {
		const d = widthOf(piece, pumps);
		const slot = piece.what.kind === 'balloon' ? piece.what.balloon.slot : null;
		const material = piece.what.kind === 'balloon' ? piece.what.balloon.material : piece.what.material;
		const kind = piece.what.kind === 'balloon' ? piece.what.balloon.kind : null;
		const inside = piece.what.kind === 'balloon' ? innerBall(piece.what.balloon, pumps) : undefined;
		const painted = piece.what.kind === 'balloon' ? paintedPart(piece.what.balloon) : undefined;
		for (const { host: at, count } of piece.on) {
			const key = hostKey(at);
			const own = shared.get(key)!;
			const found = seatsOn(at, count, d, host, seated, { counts: own.counts, nth: own.next++ });
			const seats = found && (at.on === 'layer' ? clearOf(found, own.taken, at.side) : found);
			own.taken.push(...(seats ?? []));
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
					...(painted && { painted }),
					hides: hiddenBy(ball, host.balls)
				});
			}
		}
	}
	return { balls, lost: [...lost] };
}

const hostKey = (host: Host): string => JSON.stringify(host);

/** What sits on the same host, so many each in the order in which they are seated, and where they are by now. */
function sharedBy(pieces: readonly AppliedPiece[]) {
	const shared = new Map<string, { counts: number[]; next: number; taken: Ball[] }>();
	for (const { on } of inOrder(pieces))
		for (const { host, count } of on) {
			const own = shared.get(hostKey(host)) ?? { counts: [], next: 0, taken: [] };
			own.counts.push(count);
			shared.set(hostKey(host), own);
		}
	return shared;
}

/** Nearer than this share of both their radii two pieces are on one point. House rule. */
const ON_ONE_POINT = 0.5;
/** So many half widths down and to the sides, the nearest first, down before the rest: eyes, then a nose, then a mouth. */
const MOVES = [0, 1, 2, 3, 4, -1, -2]
	.flatMap((down) => [0, 2, -2, 4, -4, 6, -6].map((across) => ({ across, down, far: 2 * Math.abs(across) + (down < 0 ? 3 * -down : down) })))
	.sort((a, b) => a.far - b.far || Math.abs(a.across) - Math.abs(b.across)); // prettier-ignore
/** Quarters of the way to the next of its own, then halves of those and halves again. */
const TURNS = [0, 0.5, 0.25, 0.75].flatMap((part) =>
	[0, 1, 2, 3].map((k) => ({ across: k + part, down: 0 }))
);

/** Pieces that come later to a side of a row, or round it: where none of those that are there is, over the foot of the host. */
function clearOf(seats: readonly Ball[], taken: readonly Ball[], side: Side): Ball[] {
	const meets = (balls: readonly Ball[]) =>
		balls.some((b) => taken.some((t) => Math.hypot(b.x - t.x, b.y - t.y, b.z - t.z) < (ON_ONE_POINT * (b.d + t.d)) / 2));
	for (const { across, down } of side === 'all' ? TURNS : MOVES) {
		const moved = seats.map((b) => {
			// Round the row a quarter of the way to the next.
			const turn = side === 'all' ? (Math.PI * across) / (2 * seats.length) : (across * b.d) / (2 * Math.max(1, Math.hypot(b.x, b.y)));
			return {
				x: b.x * Math.cos(turn) - b.y * Math.sin(turn),
				y: b.x * Math.sin(turn) + b.y * Math.cos(turn),
				z: b.z - (down * b.d) / 2,
				d: b.d
			};
		});
		if (!meets(moved) && moved.every((b, i) => b.z >= Math.min(b.d / 2, seats[i]!.z))) return moved;
	}
	return [...seats];
} // prettier-ignore

/** House rule: flat pieces look to the audience, behind the piece away from it, and outwards where they go round. */
export function looksTo(host: Host, ball: Ball): readonly [number, number] {
	if ('way' in host && (host.way === 'left' || host.way === 'right' || host.way === 'back'))
		return { left: [-1, 0], right: [1, 0], back: [0, 1] }[host.way] as [number, number];
	if (host.on !== 'layer' || host.side === 'front') return [0, -1];
	if (host.side === 'back') return [0, 1];
	const out = Math.hypot(ball.x, ball.y);
	return host.side === 'all' && out > 1e-6 ? [ball.x / out, ball.y / out] : [0, -1];
}

const inOrder = (pieces: readonly AppliedPiece[]): AppliedPiece[] =>
	carriersFirst(pieces, ({ on }) => on.map(({ host }) => host));

/** Balls of the host whose middle lies behind a piece, looking straight at it from outside. */
export function hiddenBy(piece: Ball, balls: readonly Ball[]): number {
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

export const picture: PictureFacet<Applied> = {
	stands: () => 'on its host',
	alone: false,
	place(applied, context) {
		const { balls, lost } = placeApplied(applied, context.host, context.pumps);
		return { ...loosely({ balls, strands: [] }, context), lost };
	}
};
