import { DomainError } from '../errors.ts';

/** A band bent over an angle: how long it is along its middle, and how thick. mm */
export interface Band {
	readonly length: number;
	readonly width: number;
}

export interface Nesting {
	/** Whether each lies flat round the one inside. */
	readonly flat: boolean;
	/** From the inside out: what the band has over the one inside, and what it takes to lie flat, mm; the innermost has none. */
	readonly steps: readonly { readonly grows: number; readonly needs: number; readonly short: number }[];
}

/**
 * Whether bands bent over the same angle nest flat: each has to be longer than the one inside by θ (w₁ + w₂) / 2, for
 * its middle runs at a radius larger by half of both widths. With less they must fan out.
 * Half a circle of bands 3 in thick: 9.42 in.
 * @param bands the innermost first @param angle radians, above 0 and at most a full turn
 * @throws {DomainError} `empty`, `out-of-range`, `not-positive`
 */
export function nesting(bands: readonly Band[], angle: number): Nesting {
	if (bands.length < 2) throw new DomainError('empty', 'nesting takes two bands or more');
	if (!(angle > 0 && angle <= 2 * Math.PI)) throw new DomainError('out-of-range', `an angle of ${angle}`);
	if (bands.some((b) => !(b.length > 0) || !(b.width > 0)))
		throw new DomainError('not-positive', 'a band is longer and thicker than 0');
	const steps = bands.slice(1).map((band, i) => {
		const inside = bands[i]!;
		const needs = (angle * (inside.width + band.width)) / 2;
		const grows = band.length - inside.length;
		return { grows, needs, short: Math.max(0, needs - grows) };
	});
	return { flat: steps.every((s) => s.short < 0.5), steps };
}
