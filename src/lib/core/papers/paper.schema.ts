import { z } from 'zod';
import { CURRENCIES } from '../money/money.ts';
import { businessSchema, formatsSchema } from '../workspace/settings.schema.ts';
import { PAPER_KINDS } from '../quote/kinds.ts';
import type { FrozenPaper } from './paper.ts';

const money = z.strictObject({ minor: z.number().int(), currency: z.enum(CURRENCIES) });

/** Guards {@link FrozenPaper} in its column. */
export const frozenPaperSchema = z.strictObject({
	version: z.literal(1),
	kind: z.enum(PAPER_KINDS),
	number: z.number().int().min(1),
	day: z.string(),
	due: z.string().optional(),
	business: businessSchema,
	client: z.strictObject({ name: z.string(), address: z.string() }),
	quote: z.strictObject({ number: z.number().int(), revision: z.number().int() }),
	occasion: z.string(),
	eventDate: z.string().nullable(),
	venue: z.string(),
	lines: z.array(
		z.strictObject({ label: z.string(), quantity: z.number(), net: money, tax: z.string().optional() })
	),
	discount: money,
	net: money,
	taxPercent: z.string(),
	tax: money,
	taxes: z.array(z.strictObject({ percent: z.string(), discount: money, net: money, tax: money })).optional(),
	total: money,
	paid: money,
	payable: money,
	about: z.string().optional(),
	exempt: z.string().optional(),
	formats: formatsSchema.optional()
}) satisfies z.ZodType<FrozenPaper, unknown>;
