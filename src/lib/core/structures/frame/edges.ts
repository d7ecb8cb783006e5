import { halfEllipseLength } from '../../geometry/path.ts';
import { letterPoints } from '../kit/letter-lines.ts';
import { apart, between, type Point } from '../kit/strand.ts';
import type { FramePoint, FrameShape } from './document.ts';

/** What a piece of tube is in its frame. */
export type TubeSays = 'upright' | 'bar' | 'foot' | 'arm' | 'hoop' | 'arc' | 'bent stick';

/** A piece of tube in outline, before its joints are known; lengths mm. */
export interface Edge {
	readonly says: TubeSays;
	readonly path: readonly Point[];
	readonly length: number;
	/** How wide it is beside the tube of its frame; as wide where it is not said. */
	readonly thin?: number;
}
const at = (x: number, y: number, z: number): Point => ({ x, y, z });
const straight = (says: TubeSays, from: Point, to: Point): Edge[] =>
	apart(from, to) < 1e-6 ? [] : [{ says, path: [from, to], length: apart(from, to) }];

/** Points of half an ellipse or a circle that are told apart in a picture. */
const FINE = 32;

/** Two feet to the front and back of an upright. */
const feetOf = (x: number, feet: number): Edge[] => [
	...straight('foot', at(x, -feet / 2, 0), at(x, 0, 0)),
	...straight('foot', at(x, 0, 0), at(x, feet / 2, 0))
];

/** Each section of a pole beside the one it slides in. */
const THINNER = 0.82;

/** Sections of a pole: as many as it takes to come as far out, the widest below. */
export const sectionsOf = ({ closed, open }: Extract<FrameShape, { readonly of: 'telescope' }>): number =>
	Math.max(1, Math.ceil(open / closed - 1e-9));

function pulledOut(pole: Extract<FrameShape, { readonly of: 'telescope' }>, x: number): Edge[] {
	const [first, all, n] = [pole.closed / 1000, pole.height / 1000, sectionsOf(pole)];
	const each = n === 1 ? 0 : (all - first) / (n - 1);
	return Array.from({ length: n }, (_, i) => i).flatMap((i) => {
		const [from, to] = i === 0 ? [0, first] : [first + each * (i - 1), first + each * i];
		return straight('upright', at(x, 0, from), at(x, 0, to)).map((e) => ({ ...e, thin: THINNER ** i }));
	});
}

type Shaped<K extends FrameShape['of']> = (shape: Extract<FrameShape, { readonly of: K }>) => Edge[];
const EDGES: { readonly [K in FrameShape['of']]: Shaped<K> } = {
	post: ({ height }) => straight('upright', at(0, 0, 0), at(0, 0, height / 1000)),
	telescope: (pole) => {
		const [w, h] = [pole.bar / 2000, pole.height / 1000];
		const across = straight('bar', at(-w, 0, h), at(w, 0, h)).map((e) => ({ ...e, thin: THINNER }));
		return pole.bar === 0 ? pulledOut(pole, 0) : [...pulledOut(pole, -w), ...pulledOut(pole, w), ...across];
	},
	door: ({ width, height, feet }) => {
		const [w, h] = [width / 2000, height / 1000];
		return [
			...[-w, w].flatMap((x) => [
				...feetOf(x, feet / 1000),
				...straight('upright', at(x, 0, 0), at(x, 0, h))
			]),
			...straight('bar', at(-w, 0, h), at(w, 0, h))
		];
	},
	back: ({ width, height, feet, bars }) => {
		const [w, h] = [width / 2000, height / 1000];
		const levels = Array.from({ length: bars + 2 }, (_, i) => (h * i) / (bars + 1));
		return [
			...[-w, w].flatMap((x) => [
				...feetOf(x, feet / 1000),
				...levels.slice(1).flatMap((z, i) => straight('upright', at(x, 0, levels[i]!), at(x, 0, z)))
			]),
			...levels.flatMap((z) => straight('bar', at(-w, 0, z), at(w, 0, z)))
		];
	},
	cross: ({ height, arm, at: level }) => {
		const [h, a, z] = [height / 1000, arm / 2000, level / 1000];
		return [
			...straight('upright', at(0, 0, 0), at(0, 0, z)),
			...straight('upright', at(0, 0, z), at(0, 0, h)),
			...straight('arm', at(-a, 0, z), at(0, 0, z)),
			...straight('arm', at(0, 0, z), at(a, 0, z))
		];
	},
	hoop: ({ across, foot }) => {
		const [r, z] = [across / 2000, foot / 1000];
		const path = Array.from({ length: 2 * FINE + 1 }, (_, i) => {
			const angle = -Math.PI / 2 + (Math.PI * i) / FINE;
			return at(r * Math.cos(angle), 0, z + r + r * Math.sin(angle));
		});
		return [
			...straight('upright', at(0, 0, 0), at(0, 0, z)),
			{ says: 'hoop', path, length: 2 * Math.PI * r }
		];
	},
	arc: ({ span, rise }) => {
		const [a, b] = [span / 2000, rise / 1000];
		const path = Array.from({ length: FINE + 1 }, (_, i) => {
			const angle = Math.PI - (Math.PI * i) / FINE;
			return at(a * Math.cos(angle), 0, b * Math.sin(angle));
		});
		return [{ says: 'arc', path, length: halfEllipseLength(2 * a, b) }];
	},
	letter: ({ sign, height, feet }) => letterEdges(sign, height, feet / 1000),
	box: ({ sticks, height, apart: gap }) =>
		Array.from({ length: sticks }, (_, i) => ((i - (sticks - 1) / 2) * gap) / 1000).flatMap((x) =>
			straight('upright', at(x, 0, 0), at(x, 0, height / 1000))
		),
	parts: ({ parts }) =>
		met(
			parts.flatMap(({ from, to }) => {
				const [a, b] = [pointOf(from), pointOf(to)];
				return straight(sayOf(a, b), a, b);
			})
		),
	bent: ({ stick, bends }) => {
		const path = bentPath(stick / 1000, bends.map((b) => b / 1000)); // prettier-ignore
		return [{ says: 'bent stick', path, length: stick / 1000 }];
	}
};

/** Ways a stick goes on the floor, each a quarter turn to the left of the one before. */
const QUARTERS = [[1, 0], [0, 1], [-1, 0], [0, -1]] as const; // prettier-ignore

/**
 * A stick bent by quarter turns on the floor and up at the last mark, standing over the middle of its foot.
 * @param stick mm @param bends from mark to mark, mm
 */
function bentPath(stick: number, bends: readonly number[]): Point[] {
	const floor = [at(0, 0, 0)];
	bends.forEach((long, i) => {
		const [x, y] = QUARTERS[i % 4]!;
		const last = floor.at(-1)!;
		floor.push(at(last.x + x * long, last.y + y * long, 0));
	});
	const foot = floor.at(-1)!;
	const up = stick - bends.reduce((a, b) => a + b, 0);
	return [...floor, at(foot.x, foot.y, up)].map((p) => at(p.x - foot.x, p.y - foot.y, p.z));
}

/** Every piece of tube of an outline, from joint to joint. */
export const edgesOf = <K extends FrameShape['of']>(shape: Extract<FrameShape, { readonly of: K }>): Edge[] =>
	(EDGES[shape.of as K] as Shaped<K>)(shape);

/** A point of a part, mm. */
export const pointOf = ([x, z, y]: FramePoint): Point => at(x / 1000, y / 1000, z / 1000);

const sayOf = (a: Point, b: Point): TubeSays =>
	Math.abs(b.z - a.z) > Math.hypot(b.x - a.x, b.y - a.y) ? 'upright' : 'bar';

/** What is nearer than this meets, mm. */
const MEETS = 2;

/** Where a tube ends on another, that one is cut in two: they meet in a tee. */
function met(edges: readonly Edge[]): Edge[] {
	const ends = edges.flatMap(({ path }) => [path[0]!, path.at(-1)!]);
	return edges.flatMap(({ path: [from, to] }) => {
		const long = apart(from!, to!);
		const cuts = ends
			.map((p) => apart(from!, p))
			.filter((d, i) => d > MEETS && d < long - MEETS && apart(between(from!, to!, d / long), ends[i]!) < MEETS);
		const along = [0, ...[...new Set(cuts.map((d) => Math.round(d * 100) / 100))].sort((a, b) => a - b), long];
		return along
			.slice(1)
			.flatMap((d, i) => straight(sayOf(from!, to!), between(from!, to!, along[i]! / long), between(from!, to!, d / long)));
	});
} // prettier-ignore

/** A letter's line and its arms as tubes, standing on the floor about its middle. @param height µm @param feet mm */
function letterEdges(sign: string, height: number, feet: number): Edge[] {
	const { line, arms } = letterPoints(sign, height);
	const lines = [...line.slice(1).map((to, i) => [line[i]!, to] as const), ...arms];
	const all = lines.flat();
	const xs = all.map(([x]) => x);
	const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
	const put = ([x, z]: readonly [number, number]) => at((x - middle) / 1000, 0, z / 1000);
	const standing = all.map(put).filter((p) => p.z < MEETS).map((p) => p.x); // prettier-ignore
	const foot = feet === 0 ? [] : [...new Set([Math.min(...standing), Math.max(...standing)])];
	return met([
		...lines.flatMap(([a, b]) => straight(sayOf(put(a), put(b)), put(a), put(b))),
		...foot.flatMap((x) => feetOf(x, feet))
	]);
}
