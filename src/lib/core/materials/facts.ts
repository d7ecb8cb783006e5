import type { Ground } from '../document/ground.ts';
import type { Micrometres } from '../units/length.ts';

/** How a foil is closed: by itself, by heat or tape, or its tail is tied. */
export const VALVES = ['self-sealing', 'sealed by heat or tape', 'tied'] as const;
/** How latex gives: soft takes shape and a full fill, firm holds its size. */
export const SOFTNESS = ['soft', 'firm'] as const;

/** What the maker says of a material that its kind alone has; what is not said is not known. */
export interface MaterialFacts {
	/** Of a foil. */
	readonly valve?: (typeof VALVES)[number] | undefined;
	/** Of latex. */
	readonly softness?: (typeof SOFTNESS)[number] | undefined;
	/** Most a foil lifts by its maker, g, filled with helium. */
	readonly liftGrams?: number | undefined;
	/** What a base covers of the floor. */
	readonly wide?: Micrometres | undefined;
	readonly deep?: Micrometres | undefined;
	/** What a base is made for; nothing is any ground. */
	readonly ground?: Ground | undefined;
	/** What a tie or an adhesive holds, g. */
	readonly holdsGrams?: number | undefined;
	/** Minutes until glue holds. */
	readonly setMinutes?: number | undefined;
	/** Minutes until paint can be touched. */
	readonly dryMinutes?: number | undefined;
	/** What a unit of paint covers, square feet. */
	readonly coverSqFt?: number | undefined;
}
