import { DomainError } from '../errors.ts';

/** Half the density of air, kg/m³: wind pressure q = 0.613 v² Pa, v the gust. Source: ASCE 7, SI form. */
export const HALF_DENSITY = 0.613;
/** Drag of a ball. Source: Hoerner, Fluid-Dynamic Drag (1965). */
export const BALL_DRAG = 0.47;
/** Share of a gust that comes through where walls or trees stand near. House rule, from memory. */
export const SHELTERED = 0.7;
/** Drag of a flat panel across the wind. Source: Hoerner, Fluid-Dynamic Drag (1965). */
export const PANEL_DRAG = 1.17;
export const G = 9.80665;

/** Top of each Beaufort force, m/s of mean wind at 10 m. Source: WMO, equivalent speeds (from memory). */
export const BEAUFORT = [0.2, 1.5, 3.3, 5.4, 7.9, 10.7, 13.8, 17.1, 20.7, 24.4, 28.4, 32.6] as const;

/** The Beaufort force of a mean wind, 0 to 12. @param speed m/s, 0 or more */
export const beaufort = (speed: number): number => {
	const force = BEAUFORT.findIndex((top) => speed <= top);
	return force < 0 ? 12 : force;
};

/** A piece as the wind sees it. */
export interface WindPiece {
	/** Silhouette, m². */
	readonly area: number;
	/** Height of its middle over the floor, m. */
	readonly middle: number;
	/** Weight of it all with what holds it down, less what gas lifts, kg. */
	readonly weight: number;
	/** From under its centre of mass to the nearest edge of its base, m. */
	readonly toEdge: number;
	/** Height of its centre of mass plays no part while it stands; friction of base on ground does. */
	readonly friction: number;
	/** Of the ground, in radians; level where it is not said. */
	readonly slope?: number;
	/** Height of the centre of mass, m: on a slope it leans over the lower edge. */
	readonly centre?: number;
	/** What guy lines hold against the wind, N m about the edge and N along the ground. */
	readonly guys?: { readonly moment: number; readonly pull: number };
	/** Drag of what the wind meets; balls where it is not said. */
	readonly drag?: number;
}

export interface WindVerdict {
	/** Pa */
	readonly pressure: number;
	/** N */
	readonly force: number;
	/** N m that turn it over, and that hold it. */
	readonly overturning: number;
	readonly resisting: number;
	/** Gust at which it begins to tip, and to slide, m/s. */
	readonly tipsAt: number;
	readonly slidesAt: number;
	/** kg more on the base so that it holds with the margin. */
	readonly more: number;
	readonly holds: boolean;
}

/**
 * Whether a piece stands a gust. Indicative only: local codes, the venue and qualified people decide.
 * @param gust m/s @param margin how much more than the wind must hold, 1.5 by default (house rule)
 * @throws {DomainError} `not-positive`
 */
export function standsWind(piece: WindPiece, gust: number, margin = 1.5): WindVerdict {
	const { area, middle, weight, toEdge, friction } = piece;
	if (!(area > 0) || !(middle > 0) || !(toEdge > 0) || !(friction > 0))
		throw new DomainError('not-positive', 'area, middle, distance to the edge and friction are above 0');
	const { slope = 0, centre = 0, guys = { moment: 0, pull: 0 }, drag = BALL_DRAG } = piece;
	const mass = Math.max(0, weight);
	const pressure = HALF_DENSITY * gust ** 2;
	const force = pressure * drag * area;
	// Down a slope the weight leans to the lower edge; what is put on the foot does not.
	const arm = toEdge * Math.cos(slope) - centre * Math.sin(slope);
	const foot = toEdge * Math.cos(slope);
	const grip = friction * Math.cos(slope) - Math.sin(slope);
	const overturning = force * middle;
	const resisting = mass * G * arm + guys.moment;
	const gripping = mass * G * grip + guys.pull;
	const perSpeed = HALF_DENSITY * drag * area;
	const toHold = (lacks: number, by: number) => (lacks <= 0 ? 0 : by > 0 ? lacks / (G * by) : Infinity);
	const more = Math.max(
		toHold(margin * overturning - resisting, foot),
		toHold(margin * force - gripping, grip),
		// Lighter than what gas lifts: that first.
		weight < 0 ? -weight : 0
	);
	return {
		pressure,
		force,
		overturning,
		resisting,
		tipsAt: Math.sqrt(Math.max(0, resisting) / (perSpeed * middle)),
		slidesAt: Math.sqrt(Math.max(0, gripping) / perSpeed),
		more,
		holds: more <= 0
	};
}
