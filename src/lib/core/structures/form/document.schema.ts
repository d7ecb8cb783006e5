import { z } from 'zod';
import { MODELS, SHAPINGS, type Form } from './document.ts';
import { id, length, name, size, host } from '../../document/fields.schema.ts';
import { MOST_ALIKE } from '../../document/limits.ts';

const formPiece = z.strictObject({
	id,
	name,
	model: z.enum(MODELS),
	slot: id,
	more: z.array(id).max(11).optional(),
	count: z.number().int().min(1).max(MOST_ALIKE),
	take: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.enum(['whole', 'part', 'trimmed', 'scrap']) }),
		z.strictObject({ kind: z.literal('cut'), pieces: z.number().int().min(2).max(24) })
	]),
	bubbles: z.array(length).max(40),
	fits: z.literal(true).optional(),
	each: z.array(length).min(2).max(MOST_ALIKE).optional(),
	size,
	shaping: z.enum(SHAPINGS),
	angle: z.number().min(0).max(7200),
	grows: length.or(z.literal(0)),
	strands: z.number().int().min(1).max(6),
	softened: z.boolean(),
	neckOff: z.boolean(),
	at: host.nullable(),
	to: host.optional()
});

export const form = z.strictObject({
	kind: z.literal('form'),
	pieces: z.array(formPiece).max(100)
}) satisfies z.ZodType<Form, unknown>;
