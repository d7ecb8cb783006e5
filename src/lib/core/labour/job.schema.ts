import { z } from 'zod';
import { WORK_PHASES, type Pace } from './pace.ts';
import {
	MOST_GOERS,
	MOST_MILES,
	MOST_MINUTES,
	MOST_TRIPS,
	JOB_TASKS,
	LEFT_AS,
	STARTING_JOBS,
	type JobMinutes,
	type JobPlan,
	type JobRates,
	type JobTask
} from './job.ts';

const minor = z.number().int().min(0).max(1_000_000_000);
const TIMED = JOB_TASKS.filter((t): t is Exclude<JobTask, 'drive'> => t !== 'drive');
const minutes = z.partialRecord(z.enum(TIMED), z.number().min(0).max(MOST_MINUTES)) as z.ZodType<
	JobMinutes,
	unknown
>;
const line = z.strictObject({ label: z.string().trim().min(1).max(80), minor });
const miles = z.number().min(0).max(MOST_MILES);
const trips = z.number().int().min(0).max(MOST_TRIPS);
const goers = z.number().int().min(1).max(MOST_GOERS);

/** Guards {@link JobPlan} in the terms of a quote. */
export const jobPlanSchema = z.strictObject({
	template: z.string().max(40).nullable(),
	minutes,
	miles: miles.nullable(),
	trips: trips.nullable(),
	goers: goers.nullable(),
	crew: z.array(z.string().max(40)).max(MOST_GOERS).nullable(),
	lines: z.array(line).max(20)
}) satisfies z.ZodType<JobPlan, unknown>;

const paceSchema = z.strictObject({
	work: z.enum(WORK_PHASES),
	of: z.string().min(1).max(40),
	times: z.string().regex(/^[1-9]\d{0,9}(\/[1-9]\d{0,9})?$/, 'Must be over 0.'),
	jobs: z.number().int().min(0).max(100_000),
	day: z.string().regex(/^\d{4}-\d{2}-\d{2}$/)
}) satisfies z.ZodType<Pace, unknown>;

/** Guards {@link JobRates} in the settings. Studios from before jobs were asked start with the usual ones. */
export const jobRatesSchema = z
	.strictObject({
		templates: z
			.array(
				z.strictObject({
					id: z.string().min(1).max(40),
					name: z.string().trim().min(1).max(60),
					minutes,
					miles,
					trips,
					goers,
					leftAs: z.enum(LEFT_AS),
					lines: z.array(line).max(20)
				})
			)
			.min(1)
			.max(20),
		usual: z.string().max(40),
		vanPerMile: z.number().int().min(0).max(100_000),
		mph: z.number().min(1).max(100),
		travelUnpaid: z.boolean().optional(),
		paces: z.array(paceSchema).max(200).optional()
	})
	.optional()
	.transform((own): JobRates => own ?? STARTING_JOBS) satisfies z.ZodType<JobRates, unknown>;
