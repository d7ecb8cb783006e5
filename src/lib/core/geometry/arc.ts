import { DomainError } from '../errors.ts';

/** A bow: part of a circle over a chord, mm and radians. */
export interface Bow {
	readonly rise: number;
	readonly radius: number;
	/** Whole angle it goes through. */
	readonly angle: number;
}

/**
 * The circular arc of a given length over a chord: chord = 2R sin(θ/2), length = Rθ, rise = R (1 − cos(θ/2)), solved for
 * θ/2 by bisection of sin(x)/x, up to a full circle. Source: geometry of a circular segment.
 * @param length of the arc, mm @param chord from end to end, mm, above 0
 * @returns undefined where the arc is shorter than its chord: it cannot reach
 * @throws {DomainError} `not-positive`
 */
export function bowOver(length: number, chord: number): Bow | undefined {
	if (!(length > 0) || !(chord > 0)) throw new DomainError('not-positive', 'a bow has a length and a chord');
	if (length < chord) return undefined;
	if (length === chord) return { rise: 0, radius: Infinity, angle: 0 };
	const wanted = chord / length;
	let [low, high] = [1e-9, Math.PI];
	for (let i = 0; i < 80; i++) {
		const x = (low + high) / 2;
		if (Math.sin(x) / x > wanted) low = x;
		else high = x;
	}
	const half = (low + high) / 2;
	const radius = length / (2 * half);
	return { rise: radius * (1 - Math.cos(half)), radius, angle: 2 * half };
}
