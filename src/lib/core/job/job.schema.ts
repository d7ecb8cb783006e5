import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import { isDay } from '../units/calendar-day.ts';
import { MOST_DAYS, STAGES, type JobPlace, type JobSaid } from './job.ts';

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
	note: words(2000)
}) satisfies z.ZodType<JobSaid, unknown>; // prettier-ignore
