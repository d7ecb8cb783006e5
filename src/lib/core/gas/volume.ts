import { DomainError } from '../errors.ts';
import { sphereLitres } from '../sizing/strokes.ts';

/**
 * A foil of two flat discs, filled until it is taut but not stretched: radius, thickness and volume over the flat
 * radius a. Source: Paulsen, “What is the shape of a Mylar balloon?”, Amer. Math. Monthly 101 (1994).
 */
export const TWO_DISC = { radius: 0.7627, thickness: 0.9139, volume: 1.2185 } as const;

const above = (value: number, what: string): number => {
	if (!(value > 0)) throw new DomainError('not-positive', `${what} must be above 0`);
	return value;
};

/**
 * Volume of a round foil from its flat width, litres. The maker's figure overrides it.
 * @param flat diameter it has while flat, mm
 */
export const foilLitres = (flat: number): number =>
	TWO_DISC.volume * (above(flat, 'the flat width') / 200) ** 3;

/**
 * Volume of a modelling balloon: a cylinder with round ends, V = π d² (l − d) / 4 + π d³ / 6, litres.
 * @param length inflated length, mm, at least the diameter @param diameter mm
 * @throws {DomainError} `not-positive`, `out-of-range` where it is shorter than it is thick
 */
export function modellingLitres(length: number, diameter: number): number {
	above(diameter, 'the diameter');
	if (length < diameter) throw new DomainError('out-of-range', 'shorter than it is thick');
	return (Math.PI * diameter ** 2 * (length - diameter)) / 4e6 + sphereLitres(diameter);
}

/**
 * Length that so much air fills a modelling balloon to, at its own width: {@link modellingLitres} the other way round.
 * @param litres 0 or more @param diameter mm @returns mm; with less than a ball of that width holds, that width
 */
export function modellingLength(litres: number, diameter: number): number {
	above(diameter, 'the diameter');
	return Math.max(0, litres - sphereLitres(diameter)) / ((Math.PI * diameter ** 2) / 4e6) + diameter;
}

/** Latex over a sphere of its width: soft it is one, full it is pear-shaped. From memory; the maker's figure overrides. */
export const SHAPE_FACTOR = { soft: 1, full: 1.15 } as const;

/** How much one of it holds: full by its size, the share of that it is filled to, and what else takes room in it. */
export interface GasRoom {
	readonly full: number;
	readonly fill: number;
	readonly less: number;
}

/** Litres of gas one takes; the maker's figure of what it holds goes before its size. */
export const litresHeld = ({ full, fill, less }: GasRoom, maker?: number | null): number =>
	Math.max(0, (maker ?? full) * fill - less);
