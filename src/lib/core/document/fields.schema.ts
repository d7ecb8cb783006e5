import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import { WAYS } from './host.ts';
import { SIDES } from './side.ts';
import { SIZE_WORDS } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import { JOININGS, PAINT_PARTS, PLACE_KINDS } from './cluster.ts';
import { AMOUNTS, FILLINGS } from './inside.ts';
import { LARGEST, LONGEST, MOST_IN_NAME } from './limits.ts';

export const id = idSchema;
export const name = z
	.string()
	.trim()
	.min(1, 'Give it a name.')
	.max(MOST_IN_NAME, `A name has at most ${MOST_IN_NAME} letters.`);
export const length = z
	.number()
	.int()
	.min(1)
	.max(LONGEST)
	.transform((v) => v as Micrometres);
/** As large as `n` or `n/d` says; compared without rounding. */
const within = (text: string, most: number) => {
	const [n = '0', d = '1'] = text.replace('-', '').split('/');
	return BigInt(n) <= BigInt(d) * BigInt(most);
};
/** Digits of what a field can be given: as many places behind the point as are read. */
const NUMBER = /^\d{1,21}(\/[1-9]\d{0,14})?$/;
/** `n` or `n/d` as `rationalText` writes it. */
const rationalIn = (pattern: RegExp, say: string, most: number) =>
	z
		.string()
		.max(40)
		.regex(pattern, say)
		.refine((text) => !pattern.test(text) || within(text, most), 'Too large.');
/** 0 or more. */
export const amount = (say: string, most = LARGEST) => rationalIn(NUMBER, say, most);
export const positive = rationalIn(/^[1-9]\d{0,20}(\/[1-9]\d{0,15})?$/, 'Must be above 0.', LARGEST);
export const percent = rationalIn(/^-?\d{1,21}(\/[1-9]\d{0,14})?$/, 'Must be a number of per cent.', LARGEST);
export const origin = z.enum(['typed', 'measured', 'estimated', 'derived']);
export const unit = z.enum(['in', 'ft', 'cm', 'mm', 'm']);

export const size = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('value'), um: length, unit, origin }),
	z.strictObject({ kind: z.literal('range'), low: length, high: length, unit, origin }),
	z.strictObject({
		kind: z.literal('strokes'),
		strokes: z.number().positive().max(500),
		pump: id.nullable(),
		origin
	}),
	z.strictObject({ kind: z.literal('word'), word: z.enum(SIZE_WORDS), origin }),
	z.strictObject({ kind: z.literal('unknown') })
]);

export const slots = z.array(id).min(1).max(24);
export const pattern = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('same'), slot: id }),
	z.strictObject({ kind: z.literal('rings'), slots }),
	z.strictObject({ kind: z.literal('list'), slots }),
	z.strictObject({ kind: z.literal('spiral'), slots, hand: z.enum(['left', 'right']) }),
	z.strictObject({ kind: z.literal('checker'), slots }),
	z.strictObject({ kind: z.literal('gradient'), slots }),
	z.strictObject({
		kind: z.literal('blocks'),
		blocks: z
			.array(z.strictObject({ slot: id, rings: z.number().int().min(1).max(200) }))
			.min(1)
			.max(24)
	})
]);

export const side = z.enum(SIDES);
export const oneSide = z.enum(['front', 'back', 'left', 'right']);
const weighing = {
	of: z.enum(FILLINGS),
	amount: z.strictObject({ n: z.number().positive().max(100_000), in: z.enum(AMOUNTS) }).optional()
};
export const balloon = {
	id,
	kind: z.enum(PLACE_KINDS),
	nominal: length,
	size,
	method: z.enum(['hole', 'eye']).nullable(),
	material: id.nullable(),
	side: oneSide.nullable(),
	inside: z
		.discriminatedUnion('kind', [
			z.strictObject({
				kind: z.literal('balloon'),
				nominal: length,
				size,
				slot: id,
				holds: z.strictObject(weighing).optional()
			}),
			z.strictObject({ kind: z.literal('filling'), ...weighing })
		])
		.optional(),
	painted: z.literal(true).or(z.enum(PAINT_PARTS)).optional(),
	or: length.optional(),
	neckOff: z.literal(true).optional(),
	twin: z.literal(true).optional()
};
export const ownBalloon = z.strictObject({ ...balloon, slot: id });
export const place = z.strictObject({ ...balloon, slot: id.nullable() });
export const cluster = z.strictObject({
	id,
	places: z.array(place).min(1).max(24),
	side,
	tier: z.number().int().min(0).max(2),
	pattern
});
export const joining = z.enum(JOININGS);

/** Between how many; the fewest come first. */
export const range = (most: number) =>
	z
		.strictObject({ low: z.number().int().min(1).max(most), high: z.number().int().min(1).max(most) })
		.refine(({ low, high }) => low < high, 'The fewest come first.');

/** What a piece sits on. */
export const host = z.discriminatedUnion('on', [
	z.strictObject({ on: z.literal('layer'), layer: id, side, in: z.enum(['between', 'middle']).optional() }),
	z.strictObject({ on: z.literal('spot'), spot: z.string().min(1).max(MOST_IN_NAME) }),
	z.strictObject({ on: z.literal('place'), place: id, way: z.enum(WAYS).optional() }),
	z.strictObject({
		on: z.literal('piece'),
		piece: id,
		way: z.enum(WAYS).optional(),
		along: length.optional()
	}),
	z.strictObject({ on: z.literal('path'), at: length }),
	z.strictObject({ on: z.literal('wall'), height: length, across: z.number().int().min(-5e7).max(5e7) })
]);
