import { z } from 'zod';
import { LINE_ROLES } from '../../document/line-role.ts';
import type { Extras } from './document.ts';
import { id, positive } from '../../document/fields.schema.ts';

const line = z.strictObject({
	id,
	material: id,
	quantity: positive,
	range: z.strictObject({ low: positive, high: positive }).nullable(),
	role: z.enum(LINE_ROLES),
	taken: z.boolean(),
	choice: z
		.strictObject({
			group: z.string().trim().min(1, 'Say what it is a choice of.').max(80),
			when: z.string().trim().max(80)
		})
		.nullable(),
	serves: z.array(id).max(60),
	onSpot: z.literal(true).optional(),
	swappable: z.boolean()
});

export const extras = z.strictObject({
	kind: z.literal('extras'),
	lines: z.array(line).max(400)
}) satisfies z.ZodType<Extras, unknown>;
