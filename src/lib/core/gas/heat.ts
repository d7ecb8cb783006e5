import { DomainError } from '../errors.ts';
import { safeVerdict, type SafeVerdict } from '../sizing/fill.ts';
import { pressureAt, type Gas } from './atmosphere.ts';

/** Where a balloon is: temperature of its gas, K, and height above the sea, m. */
export interface Climate {
	readonly temperature: number;
	readonly height: number;
}

/** How much warmer the gas is than the air in direct sun, K. From memory; an owner may change it. */
export const SUN = { light: 15, dark: 25 } as const;
export const SUNS = ['shade', 'light', 'dark'] as const;
export type Sun = (typeof SUNS)[number];

/** The gas of a balloon in air of a temperature, K. */
export const inSun = (air: number, sun: Sun): number => air + (sun === 'shade' ? 0 : SUN[sun]);

/**
 * Volume there over volume here, at steady pressure in the balloon: V₂/V₁ = T₂ p₁ / (T₁ p₂).
 * Latex gives way; a foil cannot, and grows taut instead.
 * @throws {DomainError} `not-positive` for a temperature not above absolute zero, `out-of-range` for a height
 */
export function volumeRatio(here: Climate, there: Climate): number {
	if (!(here.temperature > 0) || !(there.temperature > 0))
		throw new DomainError('not-positive', 'a temperature is above absolute zero');
	return (there.temperature / here.temperature) * (pressureAt(here.height) / pressureAt(there.height));
}

/** Diameter there over diameter here. */
export const diameterRatio = (here: Climate, there: Climate): number => Math.cbrt(volumeRatio(here, there));

export interface HeatAdvice {
	readonly volume: number;
	/** Diameter it has there, mm. */
	readonly diameter: number;
	readonly verdict: SafeVerdict;
	/** Largest size to bring it to here so that it stays safe there, mm. */
	readonly sizeTo: number;
	/** It gets softer and comes back: by this share of its diameter, 0 where it grows. */
	readonly softer: number;
}

/** What becomes of a latex balloon sized here and taken there. @param diameter mm here @param safe mm */
export function heatAdvice(diameter: number, safe: number, here: Climate, there: Climate): HeatAdvice {
	const ratio = diameterRatio(here, there);
	return {
		volume: ratio ** 3,
		diameter: diameter * ratio,
		verdict: safeVerdict(diameter * ratio, safe),
		sizeTo: Math.min(safe, safe / ratio),
		softer: Math.max(0, 1 - ratio)
	};
}

/** A foil does not stretch: how much of its volume it may be filled to here so that it is no more than full there. */
export const foilFill = (here: Climate, there: Climate): number => Math.min(1, 1 / volumeRatio(here, there));

export type { Gas };
