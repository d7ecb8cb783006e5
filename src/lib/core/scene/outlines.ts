import type { MaterialKind } from '../materials/material.ts';

/** Outlines of what is no ball. */
export const OUTLINES = ['disc', 'heart', 'star', 'plate'] as const;
export type Outline = (typeof OUTLINES)[number];

/** One move of an outline in a square from −1 to 1, y upwards: to a point, or there by two handles. */
export type Stroke = readonly [number, number] | readonly [number, number, number, number, number, number];

/** Five points on the circle, five between them at half its radius. */
const STAR: readonly Stroke[] = Array.from({ length: 10 }, (_, i): Stroke => {
	const [r, angle] = [i % 2 === 0 ? 1 : 0.5, Math.PI / 2 + (i * Math.PI) / 5];
	return [r * Math.cos(angle), r * Math.sin(angle)];
});
/** Handle of a quarter circle drawn as one Bézier curve. */
const K = 0.5523;

/** Closed outlines, each from its first point on. */
export const OUTLINE: Readonly<Record<Outline, readonly Stroke[]>> = {
	disc: [[1, 0], [1, K, K, 1, 0, 1], [-K, 1, -1, K, -1, 0], [-1, -K, -K, -1, 0, -1], [K, -1, 1, -K, 1, 0]],
	heart: [
		[0, -0.95], [-0.55, -0.5, -1, -0.1, -1, 0.35], [-1, 0.7, -0.75, 0.9, -0.48, 0.9], [-0.25, 0.9, -0.08, 0.78, 0, 0.55],
		[0.08, 0.78, 0.25, 0.9, 0.48, 0.9], [0.75, 0.9, 1, 0.7, 1, 0.35], [1, -0.1, 0.55, -0.5, 0, -0.95]
	],
	star: STAR,
	plate: [
		[-0.62, 0.95], [0.62, 0.95], [0.75, 0.95, 0.8, 0.9, 0.8, 0.77], [0.8, -0.77], [0.8, -0.9, 0.75, -0.95, 0.62, -0.95],
		[-0.62, -0.95], [-0.75, -0.95, -0.8, -0.9, -0.8, -0.77], [-0.8, 0.77], [-0.8, 0.9, -0.75, 0.95, -0.62, 0.95]
	]
}; // prettier-ignore

/** Thickness over width of a two-disc foil: 0.9139 a over 2 · 0.7627 a. Source: Paulsen, Amer. Math. Monthly 101 (1994). */
const FOIL_DEPTH = 0.9139 / (2 * 0.7627);

/** How a thing that is no ball looks: its outline, and its depth over its width. Undefined for balls. */
export function lookOf(
	kind: MaterialKind | null
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
			return { outline: 'star', depth: FOIL_DEPTH };
		case 'foil-shape':
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
	OUTLINE[outline]
		.map((stroke, i) => {
			const points = stroke.map((v, j) => Math.round((j % 2 ? -v : v) * radius * 10) / 10).join(' ');
			return `${i === 0 ? 'M' : stroke.length === 2 ? 'L' : 'C'}${points}`;
		})
		.join('') + 'Z';
