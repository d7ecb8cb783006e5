import type { PictureFacet } from '../facets/picture.ts';
import { BY_ITSELF, loosely } from '../kit/placed.ts';
import { ringRadius } from '../../geometry/ring.ts';
import type { Bunch, BunchItem, BunchWeight } from './document.ts';
import type { Id } from '../../document/id.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { FOIL_RADIUS, type AppliedBall } from '../kit/seats.ts';
import { inflatedIn, ON_SPOT } from './count.ts';
import { innerBall } from '../kit/filled.ts';
import { STROKES } from './letters.ts';
import type { Point, Strand } from '../kit/strand.ts';

export interface PlacedBunch {
	readonly balls: readonly AppliedBall[];
	readonly strands: readonly Strand[];
}

/** Most side by side about the middle at one height, and how far the next ring sinks between them. House rules. */
const MOST_ROUND = 6;
const SINK = 0.25;
/** Letters: width of one over its height, the gap after it, the thickness of its strokes. House rules. */
const LETTER = { width: 0.62, gap: 0.1, stroke: 0.2 } as const;
/** What is not inflated and has no size, a card, is drawn so wide; a bought weight too; a ribbon so thick. mm */
const [CARD, WEIGHT, RIBBON] = [60, 90, 5];

/**
 * Where everything of a bunch is: the weight on the floor, each item at the end of its ribbon, rings of up to six about
 * the middle, one item over the other; in a row side by side. House rules: the picture shows them.
 */
export function placeBunch(bunch: Bunch, section: Id, pumps: readonly PumpProfile[] = []): PlacedBunch {
	const { arrangement, items, weight } = bunch;
	const balls: AppliedBall[] = [];
	const strands: Strand[] = [];
	const held = weight ? weightBall(weight, section, pumps) : undefined;
	if (held) balls.push(held);
	// A row is centred as a whole; wordings centre themselves.
	const wide = items.reduce((a, i) => a + (i.what.kind === 'letters' ? 0 : i.count * widthOf(i, pumps)), 0);
	const tied = held?.ball.d ?? 0;
	const at: Placing = { balls, strands, tied, top: tied, across: -wide / 2 };
	for (const item of items) {
		const d = widthOf(item, pumps);
		const ribbon = item.ribbon ? (item.ribbon.length ?? ON_SPOT.usual) / 1000 : 0;
		const foot = Math.max(arrangement === 'row' ? 0 : at.top, ribbon);
		if (item.what.kind === 'letters') putLetters(at, item, foot, d);
		else if (arrangement === 'row') putInRow(at, item, foot, d);
		else putRound(at, item, foot, d);
	}
	return { balls, strands };
}

/** What is there already, and how far it reaches; mm. */
interface Placing {
	readonly balls: AppliedBall[];
	readonly strands: Strand[];
	/** Height at which ribbons are tied. */
	readonly tied: number;
	top: number;
	/** Left edge of the next in a row. */
	across: number;
}

function weightBall(weight: BunchWeight, section: Id, pumps: readonly PumpProfile[]): AppliedBall {
	const own = weight.kind === 'balloon' ? weight.balloon : null;
	const d = own ? resolveSize(own.size, own.nominal, pumps).assumed : WEIGHT;
	const material = weight.kind === 'material' ? weight.material : weight.balloon.material;
	const look = { slot: own?.slot ?? null, material, kind: own?.kind ?? 'weight' } as const;
	return ballOf(section, { x: 0, y: 0, z: d / 2 }, d, look);
}

/** Wordings one over the other, a ribbon from each letter. */
function putLetters(at: Placing, item: BunchItem, foot: number, d: number) {
	for (let n = 0; n < item.count; n++) {
		const written = write(item, foot + n * d * 1.1, at.strands);
		at.top = Math.max(at.top, foot + (n + 1) * d * 1.1);
		if (item.ribbon) for (const x of written) at.strands.push(string(item, { x, y: 0, z: foot }, at.tied));
	}
}

/** Side by side, each on its own ribbon. */
function putInRow(at: Placing, item: BunchItem, foot: number, d: number) {
	for (let n = 0; n < item.count; n++) {
		const middle = { x: at.across + d / 2, y: 0, z: foot + d / 2 };
		at.balls.push(ballOf(item.id, middle, d, lookOf(item)));
		if (item.ribbon) at.strands.push(string(item, { ...middle, z: foot }, at.tied));
		at.across += d;
	}
	at.top = Math.max(at.top, foot + d);
}

/** In rings about the middle; what only hangs on it hangs under what is there. */
function putRound(at: Placing, item: BunchItem, foot: number, d: number) {
	const hangs = inflatedIn(item) === 0;
	const look = lookOf(item);
	let z = hangs ? Math.max(CARD, at.tied + (at.top - at.tied) * 0.45) : foot + d / 2;
	for (let left = item.count, ring = 0; left > 0; left -= MOST_ROUND, ring++) {
		const round = Math.min(MOST_ROUND, left);
		const r = ringRadius(round, d);
		for (let k = 0; k < round; k++) {
			// Two stand side by side, more begin at the front.
			const first = round === 2 ? Math.PI : -Math.PI / 2;
			const angle = first + ((k + (ring % 2) / 2) * 2 * Math.PI) / round;
			const middle = { x: r * Math.cos(angle), y: hangs ? -CARD / 2 : r * Math.sin(angle), z };
			at.balls.push(ballOf(item.id, middle, d, look));
			if (item.ribbon) at.strands.push(string(item, { ...middle, z: z - d / 2 }, at.tied));
		}
		if (!hangs) at.top = Math.max(at.top, z + d / 2 - SINK * d);
		z += d * (1 - SINK);
	}
}

function widthOf({ what }: BunchItem, pumps: readonly PumpProfile[]): number {
	if (what.kind === 'balloon') return resolveSize(what.balloon.size, what.balloon.nominal, pumps).assumed;
	if (what.kind === 'letters') return what.height / 1000;
	return what.flat === null ? CARD : (what.flat / 1000) * FOIL_RADIUS;
}

const lookOf = ({ what }: BunchItem): Pick<AppliedBall, 'slot' | 'material' | 'kind' | 'inside'> =>
	what.kind === 'balloon'
		? {
				slot: what.balloon.slot,
				material: what.balloon.material,
				kind: what.balloon.kind,
				inside: innerBall(what.balloon)
			}
		: { slot: null, material: what.kind === 'material' ? what.material : null, kind: null };

const ballOf = (
	piece: Id,
	at: Point,
	d: number,
	look: Pick<AppliedBall, 'slot' | 'material' | 'kind' | 'inside'>
): AppliedBall => ({ piece, ball: { ...at, d }, ...look, looks: [0, -1], hides: 0 });

const string = (item: BunchItem, from: Point, tied: number): Strand => ({
	piece: item.id,
	path: [from, { x: 0, y: 0, z: Math.min(tied, from.z) }],
	d: RIBBON,
	slot: null,
	material: item.ribbon?.material ?? null
});

/** Writes a wording, centred, standing at a height. @returns the middle of each letter, mm */
function write(item: BunchItem, foot: number, strands: Strand[]): number[] {
	if (item.what.kind !== 'letters') return [];
	const { text, height, slot } = item.what;
	const h = height / 1000;
	const step = h * (LETTER.width + LETTER.gap);
	const letters = [...text.toUpperCase()];
	const middles: number[] = [];
	letters.forEach((letter, i) => {
		const left = (i - letters.length / 2) * step + (h * LETTER.gap) / 2;
		if (letter.trim() === '') return;
		middles.push(left + (h * LETTER.width) / 2);
		const inset = (h * LETTER.stroke) / 2;
		for (const stroke of STROKES[letter] ?? STROKES['?']!) {
			const path = stroke.map(([x, y]) => ({
				x: left + inset + x * (h * LETTER.width - 2 * inset),
				y: 0,
				z: foot + inset + y * (h - 2 * inset)
			}));
			strands.push({ piece: item.id, path, d: h * LETTER.stroke, slot, material: null });
		}
	});
	return middles;
}

export const picture: PictureFacet<Bunch> = {
	...BY_ITSELF,
	place: (bunch, context) => loosely(placeBunch(bunch, context.section, context.pumps), context)
};
