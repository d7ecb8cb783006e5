import { z } from 'zod';
import { MOST_BY, STANDS_ON, UPRIGHTS, type Stack } from './document.ts';
import { cluster, id, joining, length, range } from '../../document/fields.schema.ts';

const layer = z.strictObject({
	id,
	clusters: z.array(cluster).min(1).max(8),
	repeat: z.number().int().min(1).max(200),
	turn: z.enum(['half', 'none']),
	joining: joining.nullable(),
	follows: z.strictObject({ row: id.nullable(), by: z.number().int().min(-MOST_BY).max(MOST_BY) }).optional(),
	range: range(200).optional(),
	like: id.optional()
});

export const stack = z.strictObject({
	kind: z.literal('stack'),
	layers: z.array(layer).max(400),
	upright: z.strictObject({
		kind: z.enum(UPRIGHTS),
		length: length.nullable(),
		material: id.nullable(),
		tie: length
	}),
	joining,
	squash: z.number().min(0.5).max(1.2),
	onFloor: z.boolean(),
	on: z.enum(STANDS_ON).optional()
}) satisfies z.ZodType<Stack, unknown>;
