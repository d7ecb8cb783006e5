import type { Colour } from '../../core/materials/material.ts';

/** A colour as a background: an assorted bag is a pie of its colours. */
export function lookOf({ hex, of }: Pick<Colour, 'hex' | 'of'>): string {
	if (!of) return hex;
	const all = of.reduce((a, p) => a + p.parts, 0);
	let from = 0;
	const slices = of.map(({ hex: own, parts }) => {
		const to = from + (360 * parts) / all;
		const slice = `${own} ${from}deg ${to}deg`;
		from = to;
		return slice;
	});
	return `conic-gradient(${slices.join(', ')})`;
}
