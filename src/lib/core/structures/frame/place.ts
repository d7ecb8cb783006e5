import type { PictureFacet } from '../facets/picture.ts';
import { BY_ITSELF, loosely } from '../kit/placed.ts';
import { apart, between, type Point, type Strand } from '../kit/strand.ts';
import type { Frame } from './document.ts';
import { footprintOf, frameworkOf } from './joints.ts';
import { massesOf } from './mass.ts';

/** Longer stretches are drawn in parts, so that balloons stand before and behind them, mm. */
const STRETCH = 200;
/** A plate as it is drawn, in strips beside each other: so thick, at most so many, mm. */
const [PLATE, MOST_STRIPS] = [18, 48];

/** Tube as it stands, with its plates. */
export function placeFrame(frame: Frame): readonly Strand[] {
	const { members, joints } = frameworkOf(frame);
	const { material, across } = frame.tube;
	const tube = (path: readonly Point[], d: number, own = material): Strand => ({ piece: '', path, d, slot: null, material: own, bare: true }); // prettier-ignore
	const tubes = members.flatMap(({ path }) =>
		path.slice(1).flatMap((to, i) => inParts(path[i]!, to).map((part) => tube(part, across / 1000)))
	);
	const { base } = frame;
	if (!base) return tubes;
	const half = base.across / 2000;
	const strips = Math.min(MOST_STRIPS, Math.max(2, Math.ceil((2 * half) / PLATE) + 1));
	const thick = Math.max(PLATE, (2 * half) / (strips - 1));
	const plates = joints
		.filter((j) => j.kind === 'flange')
		.flatMap(({ at }) =>
			Array.from({ length: strips }, (_, i) => {
				const y = at.y - half + (2 * half * i) / (strips - 1);
				const ends = [at.x - half, at.x + half].map((x) => ({ x, y, z: PLATE / 2 }));
				return tube(ends, thick, base.material);
			})
		);
	return [...plates, ...tubes];
}

function inParts(from: Point, to: Point): Point[][] {
	const n = Math.max(1, Math.ceil(apart(from, to) / STRETCH));
	const point = (i: number): Point => between(from, to, i / n);
	return Array.from({ length: n }, (_, i) => [point(i), point(i + 1)]);
}

export const picture: PictureFacet<Frame> = {
	...BY_ITSELF,
	footprint: footprintOf,
	masses: massesOf,
	weighed: ({ base }) => (base?.material ? [base.material] : []),
	place: (frame, context) => loosely({ balls: [], strands: placeFrame(frame) }, context)
};
