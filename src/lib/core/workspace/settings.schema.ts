import { PRICE_METHODS } from '../pricing/methods.ts';
import { z } from 'zod';
import { CURRENCIES } from '../money/money.ts';
import { STARTING_STANDARDS, type Standards } from '../labour/standards.ts';
import { TASKS } from '../labour/task.ts';
import { COUNTS } from '../document/rule.ts';
import type { Settings } from './settings.ts';

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
	origin: z.enum(['typed', 'measured', 'estimated', 'derived']).default('estimated')
});

export const discountSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('percent'), percent: percentSchema }),
	z.strictObject({ kind: z.literal('amount'), minor })
]);

export const priceTermsSchema = z.strictObject({
	method: z.enum(PRICE_METHODS),
	margin: percentSchema,
	markup: percentSchema,
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
	discount: discountSchema.nullable(),
	pricePoint: z
		.strictObject({ step: z.number().int().min(1).max(100_000), mode: z.enum(['up', 'nearest']) })
		.nullable(),
	minimumMinor: minor,
	tax: z.strictObject({ percent: percentSchema, inclusive: z.boolean() }),
	deposit: percentSchema
});

/** Guards {@link Settings}: the workspace's JSON column and the settings form. */
export const settingsSchema = z.strictObject({
	business: z.strictObject({
		name: z.string().trim().min(1, 'Give the business a name.').max(120),
		address: z.string().max(300),
		email: z.string().max(200),
		phone: z.string().max(60),
		terms: z.string().max(4000)
	}),
	zone: z.string().min(1).max(60),
	decimal: z.enum(['.', ',']),
	/** Studios from before it was asked work in inches, and need no welcome. */
	lengths: z.enum(['in', 'cm']).default('in'),
	welcomed: z.boolean().default(true),
	rates: z.strictObject({
		currency: z.enum(CURRENCIES),
		labourPerHour: minor,
		overhead: z.discriminatedUnion('kind', [
			z.strictObject({ kind: z.literal('hour'), minor }),
			z.strictObject({ kind: z.literal('percent'), percent: percentSchema })
		]),
		counting: z.enum(['piece', 'bag']),
		defaultLoss: rational,
		service: z.number().min(0).lt(1),
		/** Tasks that came after the settings were saved start at their starting standard. */
		standards: z
			.partialRecord(z.enum(TASKS), standard)
			.transform((own): Standards => ({ ...STARTING_STANDARDS, ...own })),
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
