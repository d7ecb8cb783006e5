import { z } from 'zod';
import { FOIL_LOOKS } from '../../document/foil-look.ts';
import type { Bunch } from './document.ts';
import { id, length, name, ownBalloon, range } from '../../document/fields.schema.ts';
import { MOST_ALIKE, MOST_LETTERS } from '../../document/limits.ts';

const look = z.enum(FOIL_LOOKS);
const bunchItem = z.strictObject({
	id,
	name,
	count: z.number().int().min(1).max(MOST_ALIKE),
	range: range(MOST_ALIKE).optional(),
	what: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon }),
		z.strictObject({
			kind: z.literal('material'),
			material: id.nullable(),
			flat: length.nullable(),
			look,
			chambers: z.number().int().min(1).max(8)
		}),
		z.strictObject({
			kind: z.literal('letters'),
			text: z
				.string()
				.trim()
				.min(1, 'Type the wording.')
				.max(MOST_LETTERS, `A wording has at most ${MOST_LETTERS} letters.`),
			height: length,
			slot: id,
			look
		})
	]),
	gas: z.enum(['air', 'helium']),
	ribbon: z.strictObject({ material: id.nullable(), length: length.nullable() }).nullable(),
	swappable: z.boolean()
});
const bunchWeight = z.discriminatedUnion('kind', [
	z.strictObject({
		kind: z.literal('material'),
		material: id.nullable(),
		count: z.number().int().min(1).max(50)
	}),
	z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon })
]);
export const bunch = z.strictObject({
	kind: z.literal('bunch'),
	arrangement: z.enum(['bunch', 'row']),
	items: z.array(bunchItem).max(100),
	weight: bunchWeight.nullable()
}) satisfies z.ZodType<Bunch, unknown>;
