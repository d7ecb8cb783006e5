import { z } from 'zod';
import type { RationalText } from '../units/rational.ts';

/** A line of a count back as it is kept: what the recipe said then, what it took, and what was lost on the way. */
export interface CountedLine {
	readonly key: string;
	readonly label: string;
	/** As it stood in the recipe, for all that were built: an exact fraction. */
	readonly recipe: string;
	/** An exact fraction too: 13 1/10 ft of line. */
	readonly took: RationalText;
	/** Popped, holed or faded. */
	readonly lost: number;
}

const count = z.number().int().min(0).max(100_000);

/** Guards {@link CountedLine} in its JSON column. */
export const countedLinesSchema = z
	.array(
		z.strictObject({
			key: z.string().min(1).max(400),
			label: z.string().max(200),
			recipe: z.string().max(40),
			// Counts kept before fractions could be counted are whole numbers.
			took: z.union([count.transform(String), z.string().regex(/^\d{1,24}(\/[1-9]\d{0,23})?$/)]),
			lost: count
		})
	)
	.max(2000) satisfies z.ZodType<readonly CountedLine[], unknown>;
