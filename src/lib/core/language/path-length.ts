import { inches, MICROMETRES, um, type LengthUnit, type Micrometres } from '../units/length.ts';
import type { Reader } from './reader.ts';

/** A path is at most so long: 650 ft. */
export const LONGEST = 650;

export const TOO_LONG = `A path is between 3 in and ${LONGEST} ft long.`;

/** A length of a path; feet, or metres where the studio measures so, where no unit is said. */
export function pathLength(
	r: Reader,
	unit: LengthUnit = 'ft',
	least: Micrometres = inches(3)
): Micrometres | undefined {
	const value = r.number();
	if (!value) return undefined;
	const long = Math.round(
		value.mul(MICROMETRES[r.unit() ?? (unit === 'ft' ? r.long(value) : unit)]).valueOf()
	);
	return long >= least && long <= MICROMETRES.ft * LONGEST ? um(long) : undefined;
}
