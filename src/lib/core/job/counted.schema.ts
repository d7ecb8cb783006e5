import { WORK_PHASES } from '../labour/pace.ts';
import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import { LOSS_CAUSES } from '../stock/ledger.ts';
import { isDay } from '../units/calendar-day.ts';
import { MOST_COSTS, type JobCounted } from './counted.ts';

const exact = z.string().regex(/^\d{1,24}(\/[1-9]\d{0,23})?$/);

/** Guards {@link JobCounted} in its column. */
export const jobCountedSchema = z.strictObject({
	day: z.string().refine(isDay),
	materials: z
		.array(
			z.strictObject({
				material: idSchema,
				took: exact,
				lost: z.number().int().min(0).max(100_000),
				cause: z.enum(LOSS_CAUSES).nullable()
			})
		)
		.max(2000),
	times: z
		.array(
			z.strictObject({
				phase: z.enum(WORK_PHASES),
				person: idSchema.nullable(),
				minutes: z.number().int().min(0).max(100_000)
			})
		)
		.max(500),
	miles: z.number().min(0).max(100_000).nullable(),
	costs: z
		.array(z.strictObject({ label: z.string().min(1).max(80), minor: z.number().int().min(0).max(1e9) }))
		.max(MOST_COSTS),
	leftOut: z.boolean(),
	note: z.string().max(2000)
}) satisfies z.ZodType<JobCounted, unknown>;
