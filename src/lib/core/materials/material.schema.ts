import { z } from 'zod';
import type { Reuse } from './material.ts';

/** Guards {@link Reuse}: the JSON column of a material. */
export const reuseSchema = z.strictObject({
	uses: z.number().int().min(1).max(10_000),
	resaleMinor: z.number().int().min(0),
	upkeepMinor: z.number().int().min(0)
}) satisfies z.ZodType<Reuse, unknown>;
