import { z } from 'zod';
import type { Person } from './people.ts';

const positive = z.string().regex(/^\d{1,24}(\/[1-9]\d{0,23})?$/);
/** Guards {@link Person} in the settings. */
export const personSchema = z.strictObject({
	id: z.string().min(1).max(40),
	name: z.string().trim().min(1).max(60),
	wage: z.number().int().min(0).max(1_000_000_000),
	onCosts: positive,
	pace: positive.refine((text) => !/^0+(\/|$)/.test(text), 'Nobody is that quick.'),
	isOwner: z.boolean()
}) satisfies z.ZodType<Person, unknown>;
