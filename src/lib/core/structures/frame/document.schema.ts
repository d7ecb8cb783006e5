import { z } from 'zod';
import { id, length } from '../../document/fields.schema.ts';
import { canBeFramed } from '../kit/letter-lines.ts';
import { FARTHEST, MOST_BARS, MOST_BENDS, MOST_GUYS, MOST_PARTS, MOST_STICKS, MOST_USES } from './limits.ts';
import { GROUNDS } from '../../document/ground.ts';
import { isNothing } from './grid.ts';
import { COVERS, JOININGS_OF_TUBE, type Frame } from './document.ts';

const none = z.literal(0);
const across = z.number().int().min(-FARTHEST).max(FARTHEST);
const up = z.number().int().min(0).max(FARTHEST);
const point = z.tuple([across, up, across]);
const base = z.strictObject({ material: id.nullable(), across: length }).nullable();
const shape = z.discriminatedUnion('of', [
	z.strictObject({ of: z.literal('post'), height: length }),
	z
		.strictObject({
			of: z.literal('telescope'),
			closed: length,
			open: length,
			height: length,
			bar: z.union([none, length])
		})
		.refine(({ closed, open, height }) => closed <= height && height <= open, 'A pole stands between pushed in and pulled out.'), // prettier-ignore
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
	z.strictObject({
		of: z.literal('letter'),
		sign: z.string().refine(canBeFramed, 'No such letter has a square frame.'),
		height: length,
		feet: z.union([none, length])
	}),
	z.strictObject({
		of: z.literal('box'),
		sticks: z.number().int().min(1).max(MOST_STICKS),
		height: length,
		apart: length
	}),
	z.strictObject({
		of: z.literal('parts'),
		parts: z
			.array(
				z
					.strictObject({ from: point, to: point })
					.refine((p) => !isNothing(p), 'A tube goes from one point to another.')
			)
			.min(1)
			.max(MOST_PARTS)
	}),
	z
		.strictObject({ of: z.literal('bent'), stick: length, bends: z.array(length).min(1).max(MOST_BENDS) })
		.refine(({ stick, bends }) => bends.reduce((a, b) => a + b, 0) < stick, 'Nothing is left to stand up.')
]);

export const frame = z.strictObject({
	kind: z.literal('frame'),
	shape,
	tube: z.strictObject({ material: id.nullable(), across: length, stick: length }),
	base,
	grounds: z
		.array(z.strictObject({ ground: z.enum(GROUNDS), base }))
		.max(GROUNDS.length)
		.refine((all) => new Set(all.map((g) => g.ground)).size === all.length, 'Each ground is said once.')
		.default([]),
	guys: z
		.strictObject({ count: z.number().int().min(2).max(MOST_GUYS), at: length, reach: length })
		.nullable()
		.default(null),
	mesh: z.strictObject({ material: id.nullable() }).nullable().default(null),
	cover: z.enum(COVERS).nullable().default(null),
	joined: z.enum(JOININGS_OF_TUBE),
	uses: z.number().int().min(1).max(MOST_USES)
}) satisfies z.ZodType<Frame, unknown>;
