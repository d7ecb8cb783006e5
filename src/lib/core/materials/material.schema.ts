import { z } from 'zod';
import { OUTLINE_SHAPE } from '../scene/own-outline.ts';
import { idSchema } from '../id.schema.ts';
import type { Micrometres } from '../units/length.ts';
import type { PartColour } from './assorted.ts';
import { factsSchema } from './facts.schema.ts';
import {
	FINISHES,
	MATERIAL_KINDS,
	type Colour,
	type Material,
	type PriceBreak,
	type Reuse
} from './material.ts';

const loss = z
	.string()
	.regex(/^0$|^\d{1,24}\/[1-9]\d{0,23}$/, 'A loss is a share, like "1/25", or null.')
	.refine(
		(text) => text === '0' || BigInt(text.split('/')[0]!) < BigInt(text.split('/')[1]!),
		'A loss is under 1.'
	);

/** Guards {@link Reuse}: the JSON column of a material. */
export const reuseSchema = z.strictObject({
	uses: z.number().int().min(1).max(10_000),
	resaleMinor: z.number().int().min(0),
	upkeepMinor: z.number().int().min(0),
	loss: loss.optional()
}) satisfies z.ZodType<Reuse, unknown>;

const id = idSchema;
const length = z
	.number()
	.int()
	.min(1)
	.max(200_000_000)
	.transform((v) => v as Micrometres);

/** A material as a file carries it: what it is, not what it costs. */
export const filedMaterialSchema = z.strictObject({
	id,
	kind: z.enum(MATERIAL_KINDS),
	name: z.string().min(1).max(120),
	nominal: length.nullable(),
	colour: id.nullable(),
	safe: length.nullable(),
	loss: loss.nullable(),
	reuse: reuseSchema.nullable(),
	unit: z.string().max(20),
	// Files from before these say nothing of them.
	mark: z.string().min(1).max(8).nullable().default(null),
	litres: z.number().positive().max(100_000).nullable().default(null),
	grams: z.number().positive().max(1_000_000).nullable().default(null),
	chambers: z.number().int().min(1).max(8).default(1),
	outline: z
		.string()
		.max(20_000)
		.regex(OUTLINE_SHAPE, 'An outline is a closed path of moves, lines and curves.')
		.nullable()
		.optional(),
	facts: factsSchema.optional()
}) satisfies z.ZodType<Omit<Material, 'packs'>, unknown>;

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'A day is YYYY-MM-DD.');

/** Guards the price breaks of a pack. */
export const breaksSchema = z
	.array(
		z.strictObject({
			from: z.number().int().min(2).max(100_000),
			priceMinor: z.number().int().min(1).max(1_000_000_000)
		})
	)
	.max(12) satisfies z.ZodType<readonly PriceBreak[], unknown>;

/** Guards {@link Material} in what is posted to the tally interface. */
export const materialSchema = filedMaterialSchema.extend({
	retired: z.literal(true).optional(),
	into: id.optional(),
	counts: id.optional(),
	average: z
		.string()
		.regex(/^\d{1,24}(\/[1-9]\d{0,23})?$/, 'An average is a fraction.')
		.optional(),
	packs: z
		.array(
			z.strictObject({
				id,
				supplier: z.string().max(120),
				count: z.number().int().min(1).max(1_000_000),
				priceMinor: z.number().int().min(0).max(1_000_000_000).nullable(),
				depositMinor: z.number().int().min(0).max(1_000_000_000).nullable().optional(),
				supplierId: id.optional(),
				suppliersName: z.string().max(120).optional(),
				code: z.string().max(60).optional(),
				since: day.optional(),
				until: day.optional(),
				breaks: breaksSchema.optional(),
				usual: z.literal(true).optional(),
				ended: z.literal(true).optional()
			})
		)
		.max(50)
}) satisfies z.ZodType<Material, unknown>;

const hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is #rrggbb.');

/** Guards a part of an assorted bag. */
export const partColourSchema = z.strictObject({
	colour: id,
	parts: z.number().int().min(1).max(1000),
	hex
}) satisfies z.ZodType<PartColour, unknown>;

export const colourSchema = z.strictObject({
	id,
	name: z.string().min(1).max(80),
	finish: z.enum(FINISHES),
	hex,
	of: z.array(partColourSchema).min(2).max(24).optional()
}) satisfies z.ZodType<Colour, unknown>;
