import type { DrawList } from './draw-list.ts';
import { shade } from './shade.ts';

/** Height of the box a picture needs: the piece, or the upright that stands above it. mm */
export const boxHeight = ({ height, pole, poles = [] }: DrawList): number =>
	Math.max(height, pole?.height ?? 0, ...poles.map((p) => p.from + p.height));

/** Every upright of a picture: the one in the middle first. */
export const uprightsOf = ({ pole, poles = [] }: DrawList) => [
	...(pole ? [{ x: 0, from: 0, height: pole.height }] : []),
	...poles
];

const round = (value: number): number => Math.round(value);

/**
 * A picture as an SVG file of its own, in millimetres, standing on the lower edge. For small pictures: places are
 * rounded to the millimetre.
 */
export function svgOf(list: DrawList): string {
	const height = boxHeight(list);
	const defs = list.paints.map(({ hex, finish }, i) => {
		const stops = shade(hex, finish).map((s) => `<stop offset="${s.at}" stop-color="${s.hex}"/>`);
		return `<radialGradient id="g${i}" cx=".5" cy=".5" r=".62" fx=".34" fy=".3">${stops.join('')}</radialGradient>`;
	});
	const discs = list.discs.map(
		({ x, y, r, paint }) =>
			`<circle cx="${round(x)}" cy="${round(-y)}" r="${round(r)}" fill="url(#g${paint})"/>`
	);
	const uprights = uprightsOf(list).map(
		(p) =>
			`<rect x="${round(p.x) - 12}" y="${-round(p.from + p.height)}" width="24" height="${round(p.height)}" fill="#6b747d"/>`
	);
	const box = [-list.halfWidth, -height, 2 * list.halfWidth, height].map(round).join(' ');
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box}"><defs>${defs.join('')}</defs>${uprights.join('')}<g stroke="#8a919b" stroke-opacity=".35" stroke-width="4">${discs.join('')}</g></svg>`;
}
