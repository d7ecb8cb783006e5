import { z } from 'zod';
import { balloon, id, length, ownBalloon } from '../../document/fields.schema.ts';
import { hung } from '../../document/hung.schema.ts';
import { CONNECTORS, MOST_IN_RIBBON, MOST_RINGS, WEAVES, WOVEN_KINDS, type Weave } from './document.ts';

const connector = z.enum(CONNECTORS);
const some = (most: number) => z.number().int().min(1).max(most);

/** Guards {@link Weave}. */
export const weave = z.strictObject({
	kind: z.literal('weave'),
	shape: z.enum(WEAVES),
	woven: z.strictObject({
		kind: z.enum(WOVEN_KINDS),
		nominal: length,
		size: balloon.size,
		method: balloon.method
	}),
	rows: z
		.array(
			z.strictObject({
				id,
				repeat: some(200),
				blocks: z
					.array(z.strictObject({ slot: id.nullable(), count: some(500) }))
					.min(1)
					.max(60)
			})
		)
		.max(200),
	base: z
		.strictObject({ along: some(200), across: some(200), cross: z.number().int().min(0).max(60) })
		.nullable(),
	cage: z
		.strictObject({
			rings: some(MOST_RINGS),
			post: some(MOST_RINGS),
			every: z.number().int().min(0).max(200),
			over: z.number().int().min(0).max(60)
		})
		.optional(),
	filler: ownBalloon.optional(),
	joiner: ownBalloon.nullable(),
	joints: z.strictObject({
		edge: connector,
		inner: connector,
		base: connector,
		handle: connector,
		foot: connector,
		ends: connector
	}),
	take: some(24),
	of: some(24),
	stagger: z.number().int().min(0).max(24),
	chord: length.nullable(),
	handle: z.strictObject({ links: some(200), slot: id, chord: length, rise: length.nullable() }).nullable(),
	ribbons: some(MOST_IN_RIBBON).optional(),
	hung
}) satisfies z.ZodType<Weave, unknown>;
