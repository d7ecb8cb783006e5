import { DomainError } from '../errors.ts';

/** Molar gas constant, J/(mol K). Source: CODATA 2018, exact. */
export const R = 8.314462618;
/** Molar masses, kg/mol. Sources: U.S. Standard Atmosphere 1976 (air), IUPAC (helium). */
export const MOLAR_MASS = { air: 0.0289644, helium: 0.004002602 } as const;
export type Gas = keyof typeof MOLAR_MASS;

/** At the sea on a mild day: Pa and K. */
export const SEA_LEVEL = { pressure: 101_325, temperature: 288.15 } as const;
/** Fall of temperature with height, K/m, up to {@link HIGHEST}. */
const LAPSE = 0.0065;
const GRAVITY = 9.80665;
/** Top of the layer that the formulas hold in, m. */
export const HIGHEST = 11_000;

/**
 * Pressure at a height above the sea: p = p₀ (1 − L h / T₀)^(g M / R L).
 * Source: U.S. Standard Atmosphere 1976, its lowest layer; the weather of the day moves it by some per cent.
 * @param height m above the sea, −500 to 11 000
 * @returns Pa
 * @throws {DomainError} `out-of-range`
 */
export function pressureAt(height: number): number {
	if (!(height >= -500 && height <= HIGHEST))
		throw new DomainError('out-of-range', `${height} m above the sea`);
	const share = 1 - (LAPSE * height) / SEA_LEVEL.temperature;
	return SEA_LEVEL.pressure * share ** ((GRAVITY * MOLAR_MASS.air) / (R * LAPSE));
}

/**
 * Density of an ideal gas, ρ = p M / (R T), g/L.
 * @param temperature K, above 0 @param pressure Pa, above 0
 * @throws {DomainError} `not-positive`
 */
export function density(gas: Gas, temperature: number, pressure: number = SEA_LEVEL.pressure): number {
	if (!(temperature > 0) || !(pressure > 0))
		throw new DomainError('not-positive', 'temperature and pressure are above 0');
	return (pressure * MOLAR_MASS[gas]) / (R * temperature);
}

/** What a litre of helium lifts in air of the same temperature and pressure, g. */
export const liftPerLitre = (temperature: number, pressure?: number): number =>
	density('air', temperature, pressure) - density('helium', temperature, pressure);
