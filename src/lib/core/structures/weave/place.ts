import type { PictureFacet } from '../facets/picture.ts';
import { stretchOf } from '../../geometry/path.ts';
import { hangersAt } from '../kit/hangers.ts';
import { BY_ITSELF, loosely } from '../kit/placed.ts';
import type { Weave } from './document.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { AppliedBall } from '../kit/seats.ts';
import type { Point, Strand } from '../kit/strand.ts';
import { graphOf } from './graph.ts';
import { IN_CONNECTOR, sizeOfWeave, type WeaveSize } from './count.ts';
import { seaterOf } from './seater.ts';
import { spotsOf } from './spots.ts';

export interface PlacedWeave {
	readonly balls: readonly AppliedBall[];
	readonly strands: readonly Strand[];
}

/** Where everything of a weave is: balloons from knot to knot, small ones where they are held, the handle over it. */
export function placeWeave(weave: Weave, pumps: readonly PumpProfile[] = []): PlacedWeave {
	const graph = graphOf(weave);
	const size = sizeOfWeave(weave, pumps);
	const seat = seaterOf(weave, size);
	const d = resolveSize(weave.woven.size, weave.woven.nominal, pumps).assumed;
	const onBow = handleSeat(weave, size, seat, graph.height);
	const strands: Strand[] = [];
	const balls: AppliedBall[] = [];
	for (const { row, slot, from, to } of graph.woven) {
		const at = row === null ? onBow : seat;
		const [a, b] = [at(from), at(to)];
		if (weave.woven.kind === 'latex-round') {
			const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 };
			balls.push(small(row ?? '', { ...middle, d }, slot));
			continue;
		}
		// The knots take the ends: what is round of a link is as thick as it is, and ends half of that before each.
		const long = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z);
		const cut = Math.min(0.42, (d * 0.42) / Math.max(long, 1));
		const point = (t: number): Point => ({
			x: a.x + (b.x - a.x) * t,
			y: a.y + (b.y - a.y) * t,
			z: a.z + (b.z - a.z) * t
		});
		strands.push({
			piece: row ?? '',
			path: [point(cut), point(1 - cut)],
			d: d * 0.92,
			slot,
			material: null
		});
	}
	if (weave.filler) {
		const { slot, size: own, nominal } = weave.filler;
		const ball = resolveSize(own, nominal, pumps).assumed;
		for (const at of graph.bays) {
			const p = seat(at);
			balls.push(small('', { ...p, z: Math.max(ball / 2, p.z), d: ball }, slot));
		}
	}
	if (!weave.joiner) return { balls, strands };
	const { slot, size: own, nominal } = weave.joiner;
	const r = resolveSize(own, nominal, pumps).assumed;
	for (const { joint, at } of graph.places) {
		const n = IN_CONNECTOR[weave.joints[joint]];
		const where = joint === 'handle' || joint === 'foot' ? onBow : seat;
		for (let k = 0; k < n; k++) {
			// In front and behind, a quad two and two side by side.
			const out = (k % 2 === 0 ? 1 : -1) * (n === 1 ? 0.5 : 1) * (d * 0.38);
			const p = where(at, out);
			const aside = n === 4 ? (k < 2 ? -1 : 1) * r * 0.5 : 0;
			balls.push(small('', { x: p.x + aside, y: p.y, z: Math.max(r / 2, p.z), d: r }, slot));
		}
	}
	return { balls, strands };
}

const small = (piece: string, ball: AppliedBall['ball'], slot: string | null): AppliedBall => ({
	piece,
	ball,
	slot,
	material: null,
	kind: 'latex-round',
	looks: [0, -1],
	hides: 0
});

/** Along the bow of the handle, its feet on the top edge; as flat as its links are where they do not reach. */
function handleSeat(
	{ handle }: Weave,
	size: WeaveSize,
	seat: ReturnType<typeof seaterOf>,
	top: number
): ReturnType<typeof seaterOf> {
	if (!handle) return seat;
	const bow = size.handle;
	const foot = seat([0, top]).z;
	const chord = handle.chord / 1000;
	// The feet stand on two places of the top edge: where the body is bent, behind its front by as much as that bends.
	const { bow: body } = size;
	const reach = Math.min(chord, handle.links * size.pitch) / 2;
	const back =
		body && body.angle > 0
			? body.radius - Math.sqrt(Math.max(0, body.radius ** 2 - Math.min(reach, body.radius) ** 2))
			: 0;
	return ([i], out = 0) => {
		const t = i / Math.max(1, handle.links);
		if (!bow || bow.angle === 0)
			return { x: (t - 0.5) * Math.min(chord, handle.links * size.pitch), y: back - out, z: foot };
		const angle = (t - 0.5) * bow.angle;
		return {
			x: bow.radius * Math.sin(angle),
			y: back - out,
			z: foot + bow.rise - bow.radius * (1 - Math.cos(angle))
		};
	};
}

/** Pieces the top edge of a weave is taken in, to hang it by. */
const EDGE = 32;

export const picture: PictureFacet<Weave> = {
	...BY_ITSELF,
	place(weave, context) {
		const placed = placeWeave(weave, context.pumps);
		const spots = spotsOf(weave);
		if (weave.hung === null || weave.shape === 'base' || weave.shape === 'cage')
			return { ...loosely(placed, context), spots };
		const graph = graphOf(weave);
		const seat = seaterOf(weave, sizeOfWeave(weave, context.pumps));
		const edge = Array.from({ length: EDGE + 1 }, (_, i) => seat([(graph.width * i) / EDGE, graph.height]));
		const holders = hangersAt(weave.hung, [stretchOf(edge)], placed.balls);
		return { ...loosely({ ...placed, holders }, context), spots };
	}
};
