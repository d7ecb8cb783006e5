import { z } from 'zod';
import { GROUNDS } from '../document/ground.ts';
import type { Micrometres } from '../units/length.ts';
import { SOFTNESS, VALVES, type MaterialFacts } from './facts.ts';

const length = z
	.number()
	.int()
	.min(1)
	.max(200_000_000)
	.transform((v) => v as Micrometres);
const minutes = z.number().int().min(1).max(20_000);
const grams = z.number().positive().max(1_000_000);

/** Guards {@link MaterialFacts}: the JSON column of a material. */
export const factsSchema = z.strictObject({
	valve: z.enum(VALVES).optional(),
	softness: z.enum(SOFTNESS).optional(),
	liftGrams: grams.optional(),
	wide: length.optional(),
	deep: length.optional(),
	ground: z.enum(GROUNDS).optional(),
	holdsGrams: grams.optional(),
	setMinutes: minutes.optional(),
	dryMinutes: minutes.optional(),
	coverSqFt: z.number().positive().max(100_000).optional()
}) satisfies z.ZodType<MaterialFacts, unknown>;
