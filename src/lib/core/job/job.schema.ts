import { z } from 'zod';
import { GROUNDS } from '../document/ground.ts';
import { idSchema } from '../id.schema.ts';
import { LEFT_OUT } from '../quote/own-slots.ts';
import { isDay } from '../units/calendar-day.ts';
import { MOST_DAYS, STAGES, type JobPlace, type JobSaid } from './job.ts';
import type { Settled } from './settled.ts';

const minute = z.number().int().min(0).max(1439).nullable();
const words = (most: number) => z.string().max(most);

const placeSchema = z.strictObject({
	address: words(300),
	access: words(1000),
	parking: words(1000),
	floors: words(300),
	contact: words(120),
	phone: words(60)
}) satisfies z.ZodType<JobPlace, unknown>;

const count = z.string().regex(/^\d{1,9}(\/[1-9]\d{0,8})?$/);
/** Guards {@link Settled}, under what is said of a job. */
const settledSchema = z.record(
	idSchema,
	z.strictObject({
		isOn: z.boolean().optional(),
		ground: z.enum(GROUNDS).optional(),
		slots: z.record(idSchema, idSchema.or(z.literal(LEFT_OUT))).optional(),
		parts: z
			.record(idSchema, z.strictObject({ count: count.optional(), slot: idSchema.optional() }))
			.optional()
	})
) satisfies z.ZodType<Settled, unknown>;

/** Guards {@link JobSaid} in its column. */
export const jobSaidSchema = z.strictObject({
	days: z
		.array(
			z.strictObject({
				id: idSchema,
				stage: z.enum(STAGES),
				day: z.string().refine(isDay),
				from: minute,
				to: minute,
				people: z.array(idSchema).max(30),
				note: words(300)
			})
		)
		.max(MOST_DAYS),
	place: placeSchema,
	note: words(2000),
	settled: settledSchema.optional()
}) satisfies z.ZodType<JobSaid, unknown>; // prettier-ignore
