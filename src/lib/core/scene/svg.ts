import type { Disc, DrawList } from './draw-list.ts';
import { pathOf } from './outlines.ts';
import { ropePath, ropeStrokes } from './rope.ts';
import { shade } from './shade.ts';
import { TUBE_HEX, type Tube } from './tubes.ts';

/** Height of the box a picture needs: the piece, or the upright that stands above it. mm */
export const boxHeight = (list: DrawList): number =>
	Math.max(list.height, ...tubesOf(list).flatMap((t) => [t.y1, t.y2]));

/** Every tube of a picture, cut off above `top`. Pictures frozen before tubes had poles behind everything. */
export function tubesOf({ tubes, pole, poles = [] }: DrawList, top = Infinity): readonly Tube[] {
	const old = [...(pole ? [{ x: 0, from: 0, height: pole.height }] : []), ...poles].map(
		({ x, from, height }): Tube => ({ x1: x, y1: from, x2: x, y2: from + height, width: 24, before: 0 })
	);
	return (tubes ?? old).flatMap((tube) => {
		if (tube.y1 >= top && tube.y2 >= top) return [];
		return [{ ...tube, y1: Math.min(top, tube.y1), y2: Math.min(top, tube.y2) }];
	});
}

/** One thing after the other, back to front: tubes between the discs they stand among. */
export function inOrder(list: DrawList, top?: number): readonly ({ disc: Disc } | { tube: Tube })[] {
	const tubes = tubesOf(list, top);
	const order: ({ disc: Disc } | { tube: Tube })[] = [];
	let next = 0;
	list.discs.forEach((disc, i) => {
		while (next < tubes.length && tubes[next]!.before <= i) order.push({ tube: tubes[next++]! });
		order.push({ disc });
	});
	return [...order, ...tubes.slice(next).map((tube) => ({ tube }))];
}

const round = (value: number): number => Math.round(value);
const degrees = (radians: number): number => Math.round((radians * 1800) / Math.PI) / 10;

/** Places an outline, narrower along its lean. SVG transforms, y downwards. */
export const placing = ({ x, y, flat = 1, lean = 0 }: Disc): string => {
	const narrow = flat < 1 ? `rotate(${degrees(-lean)})scale(${flat} 1)rotate(${degrees(lean)})` : '';
	return `translate(${round(x)} ${round(-y)})${narrow}`;
};

/**
 * A picture as an SVG file of its own, in millimetres, standing on the lower edge. For small pictures: places are
 * rounded to the millimetre.
 */
export function svgOf(list: DrawList, title = ''): string {
	const plan = list.view === 'plan';
	const height = plan ? 2 * list.halfWidth : boxHeight(list);
	const defs = list.paints.map(({ hex, finish }, i) => {
		const stops = shade(hex, finish).map((s) => `<stop offset="${s.at}" stop-color="${s.hex}"/>`);
		return `<radialGradient id="g${i}" cx=".5" cy=".5" r=".62" fx=".34" fy=".3">${stops.join('')}</radialGradient>`;
	});
	const clear = list.paints.map(({ finish }) => (finish === 'see-through' ? ' fill-opacity=".86"' : ''));
	const things = inOrder(list).map((thing) => {
		if ('tube' in thing) {
			const { x1, y1, x2, y2, width, hex = TUBE_HEX } = thing.tube;
			return `<path d="M${round(x1)} ${round(-y1)}L${round(x2)} ${round(-y2)}" stroke="${hex}" stroke-opacity="1" stroke-width="${round(width)}"/>`;
		}
		const { x, y, r, paint, outline, path } = thing.disc;
		if (path) {
			const { hex, finish } = list.paints[paint]!;
			const strokes = ropeStrokes(hex, finish).map(
				(s) =>
					`<path d="${ropePath(path, 2 * r * s.towards)}" stroke="${s.hex}" stroke-width="${round(2 * r * s.width)}"/>`
			);
			return `<g fill="none" stroke-opacity="1" stroke-linecap="round" stroke-linejoin="round">${strokes.join('')}</g>`;
		}
		const fill = `fill="url(#g${paint})"${clear[paint]}`;
		return outline
			? `<path d="${pathOf(outline, r)}" transform="${placing(thing.disc)}" ${fill}/>`
			: `<circle cx="${round(x)}" cy="${round(-y)}" r="${round(r)}" ${fill}/>`;
	});
	const box = [-list.halfWidth, -height, 2 * list.halfWidth, height].map(round).join(' ');
	const said = title === '' ? '' : `<title>${escaped(title)}</title>`;
	// From above the middle is the middle of the box.
	const moved = plan ? ` transform="translate(0 ${round(-height / 2)})"` : '';
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box}">${said}<defs>${defs.join('')}</defs><g stroke="#8a919b" stroke-opacity=".35" stroke-width="4"${moved}>${things.join('')}</g></svg>`;
}

const escaped = (text: string): string =>
	text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
