import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import { LOSS_CAUSES } from '../stock/ledger.ts';
import { MARK_KINDS, type TallyMark } from './tally-marks.ts';

/** Half a day: a clock that ran on is not work. Seconds. */
export const LONGEST_TIMED = 12 * 3600;

/** Guards a {@link TallyMark} that is sent. */
export const tallyMarkSchema = z.strictObject({
	id: z.string().regex(/^[\w-]{8,64}$/),
	line: idSchema,
	step: z.string().min(1).max(300),
	kind: z.enum(MARK_KINDS),
	amount: z
		.number()
		.int()
		.min(-1000)
		.max(LONGEST_TIMED)
		.refine((n) => n !== 0),
	material: z.union([z.literal(''), idSchema]),
	cause: z.enum(LOSS_CAUSES).nullable(),
	person: z.union([z.literal(''), idSchema]),
	at: z.number().int().min(0).max(4_102_444_800_000)
}) satisfies z.ZodType<TallyMark, unknown>;
