import type { MaterialKind } from '../materials/material.ts';

/** Outlines a foil of a shape of its own may have, by the word that is said of it. House drawings. */
export const SHAPES = ['crescent', 'flower', 'fish', 'butterfly', 'cloud', 'leaf', 'drop'] as const;
type Shape = (typeof SHAPES)[number];
/** Outlines of what is no ball. */
export const OUTLINES = [
	'disc',
	'heart',
	'star',
	'star of 4',
	'star of 6',
	'star of 8',
	'plate',
	...SHAPES
] as const;
/** One that is drawn here, or that of a foil of her own: `own M… Z`, as it is kept with the material. */
export type Outline = (typeof OUTLINES)[number] | OwnOutline;
type OwnOutline = `own ${string}`;

/** One move of an outline in a square from −1 to 1, y upwards: to a point, or there by two handles. */
export type Stroke = readonly [number, number] | readonly [number, number, number, number, number, number];

/** So many points on the circle, as many between them further in. */
const starOf = (points: number, inner: number): readonly Stroke[] =>
	Array.from({ length: 2 * points }, (_, i): Stroke => {
		const [r, angle] = [i % 2 === 0 ? 1 : inner, Math.PI / 2 + (i * Math.PI) / points];
		return [r * Math.cos(angle), r * Math.sin(angle)];
	});
/** Petals between points on an inner circle; the handles bring each out to the edge. */
function flowerOf(petals: number): readonly Stroke[] {
	const half = Math.PI / petals;
	const [inner, wide] = [0.42, half * 0.67];
	const out = (8 - 2 * inner * Math.cos(half)) / (6 * Math.cos(wide));
	const at = (r: number, angle: number) => [r * Math.sin(angle), r * Math.cos(angle)] as const;
	const strokes = Array.from({ length: petals }, (_, i): Stroke => {
		const middle = 2 * half * i;
		return [...at(out, middle - wide), ...at(out, middle + wide), ...at(inner, middle + half)];
	});
	return [at(inner, -half), ...strokes];
}
/** Handle of a quarter circle drawn as one Bézier curve. */
const K = 0.5523;

/** Closed outlines, each from its first point on. */
export const OUTLINE: Readonly<Record<(typeof OUTLINES)[number], readonly Stroke[]>> = {
	disc: [[1, 0], [1, K, K, 1, 0, 1], [-K, 1, -1, K, -1, 0], [-1, -K, -K, -1, 0, -1], [K, -1, 1, -K, 1, 0]],
	heart: [
		[0, -0.95], [-0.55, -0.5, -1, -0.1, -1, 0.35], [-1, 0.7, -0.75, 0.9, -0.48, 0.9], [-0.25, 0.9, -0.08, 0.78, 0, 0.55],
		[0.08, 0.78, 0.25, 0.9, 0.48, 0.9], [0.75, 0.9, 1, 0.7, 1, 0.35], [1, -0.1, 0.55, -0.5, 0, -0.95]
	],
	star: starOf(5, 0.5),
	'star of 4': starOf(4, 0.4),
	'star of 6': starOf(6, 0.55),
	'star of 8': starOf(8, 0.6),
	plate: [
		[-0.62, 0.95], [0.62, 0.95], [0.75, 0.95, 0.8, 0.9, 0.8, 0.77], [0.8, -0.77], [0.8, -0.9, 0.75, -0.95, 0.62, -0.95],
		[-0.62, -0.95], [-0.75, -0.95, -0.8, -0.9, -0.8, -0.77], [-0.8, 0.77], [-0.8, 0.9, -0.75, 0.95, -0.62, 0.95]
	],
	crescent: [[0.5, 0.866], [-0.167, 1.251, -1, 0.77, -1, 0], [-1, -0.77, -0.167, -1.251, 0.5, -0.866], [-0.633, -0.55, -0.633, 0.55, 0.5, 0.866]],
	flower: flowerOf(5),
	fish: [[-1, 0], [-0.6, 0.66, 0.1, 0.6, 0.5, 0.12], [1, 0.5], [0.85, 0], [1, -0.5], [0.5, -0.12], [0.1, -0.6, -0.6, -0.66, -1, 0]],
	butterfly: [
		[0, 0.3], [0.3, 1.05, 1.05, 0.95, 0.98, 0.35], [0.9, 0.1, 0.5, 0.02, 0.35, -0.02], [0.8, -0.1, 0.9, -0.5, 0.6, -0.8],
		[0.35, -0.95, 0.1, -0.6, 0, -0.35], [-0.1, -0.6, -0.35, -0.95, -0.6, -0.8], [-0.9, -0.5, -0.8, -0.1, -0.35, -0.02],
		[-0.5, 0.02, -0.9, 0.1, -0.98, 0.35], [-1.05, 0.95, -0.3, 1.05, 0, 0.3]
	],
	cloud: [
		[-0.6, -0.5], [-1.1, -0.5, -1.12, 0.1, -0.72, 0.12], [-0.75, 0.6, -0.2, 0.72, -0.05, 0.4], [0.15, 0.78, 0.72, 0.6, 0.62, 0.15],
		[1.12, 0.15, 1.1, -0.5, 0.6, -0.5]
	],
	leaf: [[0, -1], [1.05, -0.5, 0.95, 0.45, 0, 1], [-0.95, 0.45, -1.05, -0.5, 0, -1]],
	drop: [[0, 1], [0.2, 0.45, 0.75, 0.15, 0.75, -0.3], [0.75, -0.75, 0.4, -1, 0, -1], [-0.4, -1, -0.75, -0.75, -0.75, -0.3], [-0.75, 0.15, -0.2, 0.45, 0, 1]]
}; // prettier-ignore

const own = new Map<OwnOutline, readonly Stroke[]>();
const isOwn = (outline: Outline): outline is OwnOutline => outline.startsWith('own ');

/** The strokes of an outline; those of a foil of her own are read once. */
export function strokesOf(outline: Outline): readonly Stroke[] {
	if (!isOwn(outline)) return OUTLINE[outline];
	const cached = own.get(outline);
	if (cached) return cached;
	const strokes = [...outline.matchAll(/[MLC]([^MLCZ]+)/g)].map(
		([, figures]) =>
			figures!.split(' ').map((v, i) => (i % 2 === 0 ? Number(v) : -Number(v)) / 100) as unknown as Stroke
	);
	own.set(outline, strokes);
	return strokes;
}

/** Thickness over width of a two-disc foil: 0.9139 a over 2 · 0.7627 a. Source: Paulsen, Amer. Math. Monthly 101 (1994). */
const FOIL_DEPTH = 0.9139 / (2 * 0.7627);

const isShape = (mark: string): mark is Shape => (SHAPES as readonly string[]).includes(mark);

/**
 * How a thing that is no ball looks: its outline, and its depth over its width. Undefined for balls.
 * @param mark points of a star, the outline of a foil of a shape of its own
 * @param drawn its outline as she drew it, which goes before its mark
 */
export function lookOf(
	kind: MaterialKind | null,
	mark: string | null = null,
	drawn: string | null = null
): { readonly outline: Outline; readonly depth: number } | undefined {
	switch (kind) {
		case 'latex-heart':
			// By eye: a heart is about two thirds as deep as it is wide.
			return { outline: 'heart', depth: 0.65 };
		case 'foil-round':
			return { outline: 'disc', depth: FOIL_DEPTH };
		case 'foil-heart':
			return { outline: 'heart', depth: FOIL_DEPTH };
		case 'foil-star':
			return {
				outline: mark === '4' || mark === '6' || mark === '8' ? `star of ${mark}` : 'star',
				depth: FOIL_DEPTH
			};
		case 'foil-shape':
			if (drawn !== null) return { outline: `own ${drawn}`, depth: FOIL_DEPTH };
			return { outline: mark !== null && isShape(mark) ? mark : 'plate', depth: FOIL_DEPTH };
		case 'foil-letter':
		case 'foil-number':
			return { outline: 'plate', depth: FOIL_DEPTH };
		default:
			return undefined;
	}
}

/**
 * An outline with its face to `looks`, as a camera sees it: how much narrower it is across its lean, and the angle of
 * that lean in the picture. An oblate body of depth c and half width 1 seen at θ from its axis has the half width
 * √(cos²θ + c² sin²θ) along the lean.
 *
 * @param seen where the face looks in the picture: across, up, nearness; of length 1
 */
export function leanOf(
	seen: readonly [number, number, number],
	depth: number
): { flat: number; lean: number } {
	const [across, up, near] = seen;
	const flat = Math.sqrt(near * near + depth * depth * (1 - near * near));
	return { flat: Math.min(1, flat), lean: Math.hypot(across, up) < 1e-6 ? 0 : Math.atan2(up, across) };
}

/** An outline as the data of an SVG path, y downwards, to a tenth of the unit. @param radius half its width */
export const pathOf = (outline: Outline, radius: number): string =>
	strokesOf(outline)
		.map((stroke, i) => {
			const points = stroke.map((v, j) => Math.round((j % 2 ? -v : v) * radius * 10) / 10).join(' ');
			return `${i === 0 ? 'M' : stroke.length === 2 ? 'L' : 'C'}${points}`;
		})
		.join('') + 'Z';
