import { z } from 'zod';
import { FIXINGS, type Applied } from './document.ts';
import { amount, id, length, name, ownBalloon, host } from '../../document/fields.schema.ts';
import { MOST_ALIKE, MOST_FIXINGS } from '../../document/limits.ts';

const many = z.number().int().min(1).max(MOST_ALIKE);
const piece = z.strictObject({
	id,
	name,
	what: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon }),
		z.strictObject({ kind: z.literal('material'), material: id.nullable(), flat: length.nullable() })
	]),
	on: z
		.array(
			z
				.strictObject({ host, count: many, range: z.strictObject({ low: many, high: many }).optional() })
				.refine(
					({ count, range }) =>
						!range || (range.low < range.high && count === Math.round((range.low + range.high) / 2)),
					'The count lies in the middle of the fewest and the most.'
				)
		)
		.min(1)
		.max(60),
	fixing: z.enum(FIXINGS),
	then: z.enum(FIXINGS).optional(),
	each: amount('Fixings are a number, 0 or more.', MOST_FIXINGS),
	swappable: z.boolean()
});
export const applied = z.strictObject({
	kind: z.literal('applied'),
	pieces: z.array(piece).max(200)
}) satisfies z.ZodType<Applied, unknown>;
