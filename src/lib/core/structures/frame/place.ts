import type { PictureFacet } from '../facets/picture.ts';
import { BY_ITSELF, loosely } from '../kit/placed.ts';
import { apart, between, type Point, type Strand } from '../kit/strand.ts';
import type { Frame } from './document.ts';
import { basesOf, footprintOf, frameworkOf } from './joints.ts';
import { sizeOfFrame } from './amounts.ts';
import { guySpots } from './guys.ts';
import { massesOf } from './mass.ts';
import { spotsOf } from './spots.ts';

/** Longer stretches are drawn in parts, so that balloons stand before and behind them, mm. */
const STRETCH = 200;
/** A plate as it is drawn, in strips beside each other: so thick, at most so many, mm. */
const [PLATE, MOST_STRIPS] = [18, 48];

/** Tube as it stands, with its plates. */
export function placeFrame(frame: Frame): readonly Strand[] {
	const { members } = frameworkOf(frame);
	const { material, across } = frame.tube;
	const tube = (path: readonly Point[], d: number, own = material): Strand => ({ piece: '', path, d, slot: null, material: own, bare: true }); // prettier-ignore
	const tubes = members.flatMap(({ path, thin }) =>
		path.slice(1).flatMap((to, i) => inParts(path[i]!, to).map((part) => tube(part, (thin * across) / 1000)))
	);
	const { base, shape } = frame;
	const plates = basesOf(frame).flatMap(({ at, wide, deep }) => {
		const strips = Math.min(MOST_STRIPS, Math.max(2, Math.ceil(deep / PLATE) + 1));
		const thick = Math.max(PLATE, deep / (strips - 1));
		const strip = (y: number, z: number) =>
			tube([at.x - wide / 2, at.x + wide / 2].map((x) => ({ x, y, z })), thick, base!.material); // prettier-ignore
		const floor = Array.from({ length: strips }, (_, i) =>
			strip(at.y - deep / 2 + (deep * i) / (strips - 1), PLATE / 2)
		);
		// A box has a front and a back.
		const sides = shape.of === 'box' ? [1, 2, 3, 4].flatMap((n) => [-1, 1].map((s) => strip(at.y + (s * deep) / 2, n * PLATE))) : []; // prettier-ignore
		return [...floor, ...sides];
	});
	const lines = guySpots(frame).map(({ from, to }) => tube([from, to], GUY, null));
	return [
		...plates,
		...tubes,
		...lines,
		...meshOf(frame).map((path) => tube(path, WIRE, frame.mesh!.material))
	];
}
/** A line, and a wire of mesh, as they are drawn; how far its wires are apart, mm. */
const [GUY, WIRE, MESH] = [5, 8, 150];

/** Wires of the mesh over the outline of a frame. */
function meshOf(frame: Frame): Point[][] {
	if (!frame.mesh) return [];
	const { width, height } = sizeOfFrame(frame);
	const [across, up] = [Math.max(1, Math.round(width / MESH)), Math.max(1, Math.round(height / MESH))];
	const at = (x: number, z: number): Point => ({ x: x - width / 2, y: 0, z });
	return [
		...Array.from({ length: across + 1 }, (_, i) => [at((width * i) / across, 0), at((width * i) / across, height)]),
		...Array.from({ length: up + 1 }, (_, i) => [at(0, (height * i) / up), at(width, (height * i) / up)])
	];
} // prettier-ignore

function inParts(from: Point, to: Point): Point[][] {
	const n = Math.max(1, Math.ceil(apart(from, to) / STRETCH));
	const point = (i: number): Point => between(from, to, i / n);
	return Array.from({ length: n }, (_, i) => [point(i), point(i + 1)]);
}

export const picture: PictureFacet<Frame> = {
	...BY_ITSELF,
	footprint: footprintOf,
	masses: massesOf,
	guys: ({ guys }) => (guys ? [{ count: guys.count, at: guys.at / 1e6, reach: guys.reach / 1e6 }] : []),
	weighed: ({ base }) => (base?.material ? [base.material] : []),
	place: (frame, context) => ({
		...loosely({ balls: [], strands: placeFrame(frame) }, context),
		spots: spotsOf(frame)
	})
};
