import { DomainError } from '../errors.ts';
import type { Millimetres } from '../units/length.ts';

/** A ball of a placed piece, mm; z is up, the floor is z = 0, the audience stands at negative y. */
export interface Ball {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly d: number;
}

/**
 * Radius of the circle through the centres of n equal balls that touch in a ring: R = d / (2 sin(π / n)).
 * One ball stands on the axis: R = 0. Source: chord length of a regular polygon.
 * @param count balls, an integer of 1 or more
 * @param diameter mm
 * @throws {DomainError} `not-integer` if `count` is not an integer of 1 or more
 */
export function ringRadius(count: number, diameter: number): Millimetres {
	if (!Number.isInteger(count) || count < 1) throw new DomainError('not-integer', `${count} balls in a ring`);
	return (count === 1 ? 0 : diameter / (2 * Math.sin(Math.PI / count))) as Millimetres;
}

/** Overall width of a ring of equal balls, 2R + d, mm. */
export const ringWidth = (count: number, diameter: number): Millimetres =>
	(2 * ringRadius(count, diameter) + diameter) as Millimetres;

/**
 * Angles and radius of balls of any sizes that touch their neighbours in a closed ring with every centre
 * at one distance R from the axis: Σ 2 asin((dᵢ + dᵢ₊₁) / 4R) = 2π, solved for R by bisection.
 * House rule where no such R exists (one ball dwarfs the others): the least R that lets the largest pair
 * stand opposite, the rest spaced by their own angles.
 * @param diameters mm, at least one, each above 0
 * @returns `radius` mm and one angle a ball, radians, the first at 0
 */
export function unequalRing(diameters: readonly number[]): { radius: number; angles: number[] } {
	const n = diameters.length;
	if (n === 1) return { radius: 0, angles: [0] };
	if (allAlike(diameters)) return { radius: ringRadius(n, diameters[0]!), angles: evenAngles(n) };
	const chords = diameters.map((d, i) => (d + diameters[(i + 1) % n]!) / 2);
	const least = Math.max(...chords) / 2;
	const turn = (radius: number) =>
		chords.reduce((a, c) => a + 2 * Math.asin(Math.min(1, c / (2 * radius))), 0);
	let low = least;
	let high = chords.reduce((a, c) => a + c, 0);
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (turn(middle) > 2 * Math.PI) low = middle;
		else high = middle;
	}
	const radius = high;
	const scale = (2 * Math.PI) / turn(radius);
	let angle = 0;
	const angles = chords.map((chord) => {
		const here = angle;
		angle += 2 * Math.asin(Math.min(1, chord / (2 * radius))) * scale;
		return here;
	});
	return { radius, angles };
}

function allAlike(diameters: readonly number[]): boolean {
	for (const d of diameters) if (d !== diameters[0]) return false;
	return true;
}

const even: number[][] = [];
/** Angles of n even places, radians; made once for each n. */
const evenAngles = (n: number): number[] =>
	(even[n] ??= Array.from({ length: n }, (_, i) => (2 * Math.PI * i) / n));
