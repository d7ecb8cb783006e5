import { PACK_PRICES } from '../materials/counting-pack.ts';
import { PRICE_METHODS } from '../pricing/methods.ts';
import { z } from 'zod';
import { CURRENCIES } from '../money/money.ts';
import { STARTING_STANDARDS, type Standards } from '../labour/standards.ts';
import { METHODS, TASKS } from '../labour/task.ts';
import { COUNTS } from '../document/rule.ts';
import { jobRatesSchema } from '../labour/job.schema.ts';
import { personSchema } from '../labour/people.schema.ts';
import { CARD_BY, CARD_CLASSES } from '../pricing/basis.ts';
import { RULE_KINDS } from '../pricing/rules.ts';
import { STARTING_FIGURES } from '../pricing/terms.ts';
import { DATE_STYLES, type Formats } from './formats.ts';
import type { Business, Settings } from './settings.ts';

const minor = z.number().int().min(0).max(1_000_000_000);
/** A rational number of per cent, `n` or `n/d`: as many digits as the fields take, and two more for hundredths. */
export const percentSchema = z
	.string()
	.regex(/^-?\d{1,24}(\/[1-9]\d{0,23})?$/, 'Must be a number of per cent.');
const rational = z.string().regex(/^\d{1,24}(\/[1-9]\d{0,23})?$/);
const standard = z.strictObject({
	seconds: z.number().min(0).max(86_400),
	batch: z.number().min(0).max(86_400),
	/** What was saved before origins were asked is the starting figure. */
	origin: z.enum(['typed', 'measured', 'estimated', 'derived']).default('estimated'),
	timings: z
		.array(
			z.strictObject({
				day: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
				count: z.number().int().min(1).max(10_000),
				seconds: z
					.number()
					.min(0.1)
					.max(86_400 * 7),
				out: z.boolean()
			})
		)
		.max(200)
		.optional(),
	twoAtOnce: z.boolean().optional(),
	methods: z.partialRecord(z.enum(METHODS), rational).optional()
});

export const discountSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('percent'), percent: percentSchema }),
	z.strictObject({ kind: z.literal('amount'), minor })
]);

export const priceTermsSchema = z.strictObject({
	method: z.enum(PRICE_METHODS),
	margin: percentSchema,
	markup: percentSchema,
	/** Settings from before these ways were there take the usual figures. */
	factor: percentSchema.default(STARTING_FIGURES.factor),
	card: percentSchema.default(STARTING_FIGURES.card),
	wage: percentSchema.default(STARTING_FIGURES.wage),
	chargePerHour: minor.default(STARTING_FIGURES.chargePerHour),
	cardRates: z
		.array(z.strictObject({ kind: z.enum(CARD_CLASSES), by: z.enum(CARD_BY), minor }))
		.max(20)
		.optional()
		.transform((own) => own ?? STARTING_FIGURES.cardRates),
	byClass: z.partialRecord(z.enum(CARD_CLASSES), z.enum(PRICE_METHODS)).optional(),
	fee: z.strictObject({
		percent: percentSchema,
		onTax: z.boolean(),
		fixedMinor: minor,
		payments: z.number().int().min(0).max(24)
	}),
	/** Settings from before it was asked for take the usual. */
	feeOnTop: z.boolean().default(true),
	rush: percentSchema,
	weekend: percentSchema,
	volume: percentSchema,
	rules: z
		.array(z.strictObject({ kind: z.enum(RULE_KINDS), when: z.string().max(20), percent: percentSchema }))
		.max(30)
		.default([]),
	discount: discountSchema.nullable(),
	pricePoint: z
		.strictObject({ step: z.number().int().min(1).max(100_000), mode: z.enum(['up', 'nearest']) })
		.nullable(),
	minimumMinor: minor,
	tax: z.strictObject({ percent: percentSchema, inclusive: z.boolean() }),
	deposit: percentSchema
});

/** Guards {@link Business}, in settings and in what was frozen of them. */
export const businessSchema = z.strictObject({
	name: z.string().trim().min(1, 'Give the business a name.').max(120),
	address: z.string().max(300),
	email: z.string().max(200),
	phone: z.string().max(60),
	terms: z.string().max(4000),
	mark: z.string().min(1).max(3).optional(),
	colour: z
		.string()
		.regex(/^#[0-9a-f]{6}$/)
		.optional()
}) satisfies z.ZodType<Business, unknown>;

/** Guards {@link Formats}, in what was frozen with them. */
export const formatsSchema = z.strictObject({
	decimal: z.enum(['.', ',']),
	dates: z.enum(DATE_STYLES)
}) satisfies z.ZodType<Formats, unknown>;

/** Guards {@link Settings}: the workspace's JSON column and the settings form. */
export const settingsSchema = z.strictObject({
	business: businessSchema,
	zone: z.string().min(1).max(60),
	decimal: z.enum(['.', ',']),
	/** Studios from before it was asked write the month first. */
	dates: z.enum(DATE_STYLES).default('month first'),
	/** Studios from before it was asked work in inches, and need no welcome. */
	lengths: z.enum(['in', 'cm']).default('in'),
	welcomed: z.boolean().default(true),
	rates: z.strictObject({
		currency: z.enum(CURRENCIES),
		labourPerHour: minor,
		people: z.array(personSchema).max(30).default([]),
		crew: z.array(z.string().max(40)).max(30).default([]),
		together: rational.optional(),
		overhead: z.discriminatedUnion('kind', [
			z.strictObject({ kind: z.literal('hour'), minor }),
			z.strictObject({ kind: z.literal('percent'), percent: percentSchema })
		]),
		counting: z.enum(['piece', 'bag']),
		packPrice: z.enum(PACK_PRICES).optional(),
		defaultLoss: rational,
		purchases: z.strictObject({ discount: percentSchema, tax: percentSchema }).optional(),
		service: z.number().min(0).lt(1),
		/** Tasks that came after the settings were saved start at their starting standard. */
		standards: z.record(z.string(), standard).transform((own): Standards => ({
			...STARTING_STANDARDS,
			// Work that is no longer told so is left out.
			...Object.fromEntries(Object.entries(own).filter(([task]) => (TASKS as string[]).includes(task)))
		})),
		jobs: jobRatesSchema,
		rules: z
			.array(z.strictObject({ of: z.enum(COUNTS), each: rational, material: z.string().nullable() }))
			.max(40),
		pumps: z.array(
			z.strictObject({
				id: z.string(),
				name: z.string(),
				pairs: z.array(z.strictObject({ strokes: z.number().positive(), diameter: z.number().positive() }))
			})
		),
		price: priceTermsSchema
	})
}) satisfies z.ZodType<Settings, unknown>;
