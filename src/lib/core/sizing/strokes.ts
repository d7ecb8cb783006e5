import { DomainError } from '../errors.ts';

/** One measured pair of a pump: so many strokes brought a round balloon to this diameter. */
export interface PumpPair {
	readonly strokes: number;
	/** mm */
	readonly diameter: number;
}

/** A hand pump as one maker counts it. Strokes are not portable between pumps. */
export interface PumpProfile {
	readonly id: string;
	readonly name: string;
	readonly pairs: readonly PumpPair[];
}

/** Volume of a sphere, litres. @param diameter mm */
export const sphereLitres = (diameter: number): number => (Math.PI / 6) * (diameter / 100) ** 3;

/** Diameter of a sphere, mm. @param litres volume, 0 or more */
export const sphereDiameter = (litres: number): number => 100 * Math.cbrt((6 * litres) / Math.PI);

/**
 * Litres a stroke: the least squares fit of V on s through the origin, k = Σ V s / Σ s².
 * @returns `k` and the root mean square residual in litres; one pair calibrates with residual 0
 * @throws {DomainError} `empty` without a pair, `not-positive` for a stroke count or diameter not above 0
 */
export function calibrate(pairs: readonly PumpPair[]): { k: number; residual: number } {
	if (pairs.length === 0) throw new DomainError('empty', 'a pump needs one measured pair');
	if (pairs.some((p) => !(p.strokes > 0) || !(p.diameter > 0))) {
		throw new DomainError('not-positive', 'strokes and diameter must be above 0');
	}
	const vs = pairs.reduce((a, p) => a + sphereLitres(p.diameter) * p.strokes, 0);
	const ss = pairs.reduce((a, p) => a + p.strokes ** 2, 0);
	const k = vs / ss;
	const squares = pairs.reduce((a, p) => a + (sphereLitres(p.diameter) - k * p.strokes) ** 2, 0);
	return { k, residual: Math.sqrt(squares / pairs.length) };
}

/** Diameter after so many strokes, mm. @param k litres a stroke */
export const diameterAfter = (strokes: number, k: number): number => sphereDiameter(k * strokes);

/** Strokes to reach a diameter, not rounded. @param diameter mm @param k litres a stroke */
export const strokesFor = (diameter: number, k: number): number => sphereLitres(diameter) / k;
