import { z } from 'zod';
import { id, length } from '../../document/fields.schema.ts';
import { MOST_BARS, MOST_BENDS, MOST_USES } from './limits.ts';
import { JOININGS_OF_TUBE, type Frame } from './document.ts';

const none = z.literal(0);
const shape = z.discriminatedUnion('of', [
	z.strictObject({ of: z.literal('post'), height: length }),
	z.strictObject({
		of: z.literal('door'),
		width: length,
		height: length,
		feet: z.union([none, length])
	}),
	z.strictObject({
		of: z.literal('back'),
		width: length,
		height: length,
		feet: z.union([none, length]),
		bars: z.number().int().min(0).max(MOST_BARS)
	}),
	z
		.strictObject({ of: z.literal('cross'), height: length, arm: length, at: length })
		.refine(({ at, height }) => at <= height, 'The tree is no higher than its mast.'),
	z.strictObject({ of: z.literal('hoop'), across: length, foot: z.union([none, length]) }),
	z.strictObject({ of: z.literal('arc'), span: length, rise: length }),
	z
		.strictObject({ of: z.literal('bent'), stick: length, bends: z.array(length).min(1).max(MOST_BENDS) })
		.refine(({ stick, bends }) => bends.reduce((a, b) => a + b, 0) < stick, 'Nothing is left to stand up.')
]);

export const frame = z.strictObject({
	kind: z.literal('frame'),
	shape,
	tube: z.strictObject({ material: id.nullable(), across: length, stick: length }),
	base: z.strictObject({ material: id.nullable(), across: length }).nullable(),
	joined: z.enum(JOININGS_OF_TUBE),
	uses: z.number().int().min(1).max(MOST_USES)
}) satisfies z.ZodType<Frame, unknown>;
