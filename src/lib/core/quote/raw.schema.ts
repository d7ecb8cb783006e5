import { idSchema } from '../id.schema.ts';
import { GROUNDS } from '../document/ground.ts';
import { LEFT_OUT } from './own-slots.ts';
import { LINE_METHODS, PRICE_METHODS } from '../pricing/methods.ts';
import { z } from 'zod';
import { SUNS } from '../gas/heat.ts';
import { rawPlaceSchema } from './quote.schema.ts';
import { MINUTED, NO_RAW_JOB, type RawJob } from './read-job.ts';
import type { RawQuote } from './read-form.ts';

const text = (most: number) => z.string().max(most);

/** Guards {@link RawQuote}: what the quote builder posts, before it is read. */
export const rawQuoteSchema = z.strictObject({
	client: text(120),
	eventDate: text(20),
	zone: text(60),
	occasion: text(120),
	venue: text(200),
	setting: z.enum(['indoor', 'outdoor']),
	delivery: text(40),
	deliveryCost: text(40),
	method: z.enum(PRICE_METHODS),
	margin: text(40),
	markup: text(40),
	rush: text(40),
	discountKind: z.enum(['none', 'percent', 'amount']),
	discount: text(40),
	tax: text(40),
	deposit: text(40),
	validDays: text(40),
	note: text(2000),
	/** A page opened before the day was asked for says none of it. */
	here: text(40).default(''),
	there: text(40).default(''),
	sun: z.enum(SUNS).default('shade'),
	height: text(40).default(''),
	/** A page opened before gusts were asked for says none. */
	gust: text(40).default(''),
	/** A page opened before the job was asked for says none of it. */
	job: z
		.strictObject({
			template: text(40),
			miles: text(40),
			trips: text(40),
			goers: text(40),
			crew: z.array(text(40)).max(30).nullable(),
			minutes: z.partialRecord(z.enum(MINUTED), text(40)),
			lines: z.array(z.strictObject({ label: text(120), amount: text(40) })).max(20)
		})
		.optional()
		.transform((own): RawJob => own ?? NO_RAW_JOB),
	place: rawPlaceSchema.nullable().default(null),
	levels: text(300).default(''),
	self: text(2000).default(''),
	lines: z
		.array(
			z.strictObject({
				id: text(64).min(1),
				versionId: text(90),
				colourwayId: text(64),
				/** A page opened before sizes were there says none. */
				sizeId: text(64).default(''),
				quantity: text(40),
				/** A page opened before lines had ways of their own says none. */
				way: z.enum(['own', 'quote', ...LINE_METHODS]).default('own'),
				percent: text(40).default(''),
				/** A page opened before lines could be more than designs says none of it. */
				label: text(200).default(''),
				price: text(40).default(''),
				cost: text(40).default(''),
				material: text(64).default(''),
				stands: z.enum(['always', 'add-on', 'one of']).default('always'),
				group: text(100).default(''),
				notIn: z.array(text(60)).max(10).default([]),
				heading: text(120).default(''),
				note: text(800).default(''),
				/** A page opened before lines had a tax of their own says none. */
				tax: text(40).default(''),
				/** A page opened before lines had a ground says none. */
				ground: z.enum(['', ...GROUNDS]).default(''),
				/** A page opened before lines had colours of their own says none. */
				slots: z.record(idSchema, z.union([z.literal(''), z.literal(LEFT_OUT), idSchema])).default({})
			})
		)
		.max(100)
}) satisfies z.ZodType<RawQuote, unknown>;
