import { z } from 'zod';
import {
	amount,
	balloon,
	cluster,
	id,
	joining,
	length,
	ownBalloon,
	positive,
	slots
} from '../../document/fields.schema.ts';
import { ESTIMATES, SEEN, TAPERED, THICKER, WAYS, type Run } from './document.ts';
import { MOST_IN_CLUSTER, MOST_ON_PATH } from '../../document/limits.ts';
import { hung } from '../../document/hung.schema.ts';

/** A run is at most so long: 650 ft. */
const way = z.enum(WAYS);
const maybe = length.nullable();
const some = amount('Must be a number, 0 or more.');
const clusters = z.number().int().min(1).max(MOST_ON_PATH).optional();
const micrometres = z.number().int().min(-200_000_000).max(200_000_000);

const path = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('line'), length }),
	z.strictObject({
		kind: z.literal('arch'),
		span: length,
		rise: length,
		curve: z.enum(['ellipse', 'catenary'])
	}),
	z.strictObject({
		kind: z.literal('corners'),
		legs: z
			.array(z.strictObject({ way, length, pitch: maybe, clusters }))
			.min(1)
			.max(40)
	}),
	z.strictObject({
		kind: z.literal('helix'),
		across: length,
		height: length,
		turns: z.number().positive().max(100)
	}),
	z.strictObject({
		kind: z.literal('curve'),
		points: z
			.array(z.tuple([micrometres, micrometres]))
			.min(2)
			.max(60)
	}),
	z.strictObject({ kind: z.literal('lent'), by: id })
]);

/** A balloon of a mix or an infill: what a place says, without what only a place has. */
const { kind, nominal, size, method } = balloon;
const plain = { id, kind, nominal, size, method };

const organic = z.strictObject({
	seen: z.enum(SEEN),
	fullness: positive,
	thicker: z.enum(THICKER),
	by: z.enum(ESTIMATES),
	clusters: positive.nullable(),
	taught: z
		.strictObject({
			length,
			counts: z
				.array(z.strictObject({ nominal: length, count: z.number().int().min(0).max(100_000) }))
				.min(1)
				.max(12)
		})
		.nullable(),
	packed: z
		.strictObject({
			key: z.string().min(1).max(40),
			length,
			counts: z.array(z.number().int().min(0).max(100_000)).max(12)
		})
		.nullable(),
	seed: z.number().int().min(0).max(1_000_000),
	scattered: z.literal(true).optional()
});
/** Guards {@link Run}. */
export const run = z.strictObject({
	kind: z.literal('run'),
	path,
	height: length.or(z.literal(0)),
	branches: z
		.array(
			z.strictObject({
				id,
				kind: z.enum(['tee', 'cross']),
				at: length,
				way,
				length,
				pitch: maybe,
				clusters,
				turned: z.literal(true).optional()
			})
		)
		.max(40),
	rows: z
		.array(
			z.strictObject({
				id,
				cluster,
				repeat: z.number().int().min(1).max(200),
				pitch: maybe,
				joining: joining.nullable()
			})
		)
		.max(60),
	joining,
	squash: z.number().min(0.5).max(1.2),
	corner: ownBalloon.nullable(),
	mix: z
		.array(
			z.strictObject({
				...plain,
				share: positive,
				each: z.number().int().min(1).max(10_000).optional(),
				colours: z
					.array(z.strictObject({ slot: slots.element, parts: z.number().int().min(1).max(10_000) }))
					.min(1)
					.max(24)
			})
		)
		.max(12),
	organic,
	infill: z
		.array(
			z.strictObject({
				...plain,
				low: some,
				high: some,
				slot: id.nullable(),
				each: z.number().int().min(2).max(MOST_IN_CLUSTER).optional()
			})
		)
		.max(12),
	spine: z
		.strictObject({
			material: id.nullable(),
			tails: length.or(z.literal(0)),
			loops: z.literal(0).or(z.literal(1)).or(z.literal(2)),
			ties: some,
			round: length.optional()
		})
		.nullable(),
	hung,
	spare: z.number().int().min(0).max(200),
	clusters,
	free: z
		.array(z.strictObject({ id, at: length.or(z.literal(0)), length }))
		.max(20)
		.optional(),
	taper: z
		.strictObject({ at: z.enum(TAPERED), clusters: z.number().int().min(1).max(100), size: length })
		.optional(),
	changes: z
		.array(
			z.discriminatedUnion('to', [
				z.strictObject({ to: z.literal('joining'), id, at: length, joining }),
				z.strictObject({ to: z.literal('spine'), id, at: length, material: id })
			])
		)
		.max(12)
		.optional(),
	open: z
		.strictObject({ low: length, high: length })
		.refine(({ low, high }) => low < high, 'The shorter comes first.')
		.optional()
}) satisfies z.ZodType<Run, unknown>;
