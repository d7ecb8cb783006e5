import { density, liftPerLitre, pressureAt } from './atmosphere.ts';

/** Where a balloon floats: what the air is like there. */
export interface Place {
	/** K */
	readonly temperature: number;
	/** m above the sea */
	readonly height: number;
}

export interface Float {
	/** g one litre lifts there. */
	readonly perLitre: number;
	/** g the gas lifts in all, before anything hangs on it. */
	readonly gross: number;
	/** g left when balloons, ribbons and what hangs on them are carried; below 0 it sinks. */
	readonly net: number;
	/** g a weight needs so that nothing lifts off: the net lift and the margin; 0 where it sinks. */
	readonly weight: number;
	readonly verdict: 'floats' | 'hovers' | 'sinks';
}

/** Share of the gross lift within which nobody can say whether it rises or falls. House rule. */
const HOVER = 0.05;

/**
 * Lift of a bunch against what it carries.
 * @param litres helium in all @param carried balloons, ribbons, ties and add-ons, g @param margin share more than the lift
 */
export function float(litres: number, carried: number, { temperature, height }: Place, margin = 0.5): Float {
	const perLitre = liftPerLitre(temperature, pressureAt(height));
	const gross = perLitre * litres;
	const net = gross - carried;
	const verdict = net > HOVER * gross ? 'floats' : net < -HOVER * gross ? 'sinks' : 'hovers';
	return { perLitre, gross, net, weight: Math.max(0, net) * (1 + margin), verdict };
}

/**
 * What a litre of helium costs: price over what of the cylinder reaches balloons.
 * @param priceMinor of a filling @param litres it gives by its label, at 15 °C and one atmosphere
 * @param loss share that never reaches a balloon, 0 to under 1
 * @returns minor units a litre
 */
export const heliumCost = (priceMinor: number, litres: number, loss: number): number =>
	priceMinor / (litres * (1 - loss));

/** Litres a cylinder's label counts (15 °C, one atmosphere) in so many litres of balloons at a place. */
export function labelLitres(litres: number, { temperature, height }: Place): number {
	return (litres * density('helium', temperature, pressureAt(height))) / density('helium', 288.15);
}
