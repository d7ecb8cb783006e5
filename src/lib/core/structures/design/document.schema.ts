import { z } from 'zod';
import type { DesignUse } from './document.ts';
import { id, positive } from '../../document/fields.schema.ts';

export const design = z.strictObject({
	kind: z.literal('design'),
	design: id,
	quantity: positive,
	colourway: id.nullable(),
	size: id.nullable(),
	version: z.number().int().min(1).nullable()
}) satisfies z.ZodType<DesignUse, unknown>;
