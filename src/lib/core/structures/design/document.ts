import type { RationalText } from '../../units/rational.ts';
import type { Id } from '../../document/id.ts';

/** Another design as a part of this one, read at its last kept version. */
export interface DesignUse {
	readonly kind: 'design';
	readonly design: string;
	readonly quantity: RationalText;
	/** The colourway of the other design; null takes its first. */
	readonly colourway: Id | null;
	/** A size option of it; null is as it stands. */
	readonly size: Id | null;
	/** Number of its version this design was last kept with; null before the first keep. */
	readonly version: number | null;
}
