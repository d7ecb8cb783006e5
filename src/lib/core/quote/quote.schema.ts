import { idSchema } from '../id.schema.ts';
import { jobPlanSchema } from '../labour/job.schema.ts';
import { LINE_METHODS, PRICE_METHODS } from '../pricing/methods.ts';
import { z } from 'zod';
import { CURRENCIES, type Money } from '../money/money.ts';
import { FINISHES } from '../materials/material.ts';
import { SUNS } from '../gas/heat.ts';
import { VIEWS } from '../scene/camera.ts';
import type { DrawList } from '../scene/draw-list.ts';
import { OUTLINES } from '../scene/outlines.ts';
import {
	businessSchema,
	discountSchema,
	formatsSchema,
	percentSchema
} from '../workspace/settings.schema.ts';
import type { ClientChoice } from './choices.ts';
import type { EventSaid, FrozenOwner, FrozenQuote } from './frozen.ts';
import { QUOTE_STATES } from './states.ts';
import { GROUNDS } from '../document/ground.ts';
import { LEFT_OUT } from './own-slots.ts';
import type { Place, RawPlace } from './place.ts';
import { MOST_LEVELS } from './choices.ts';
import type { LineWay, QuoteTerms } from './quote.ts';

const minor = z.number().int().min(0).max(1_000_000_000);
const level = z.string().min(1).max(40);

/** Guards {@link LineWay} in the column of a line. */
export const lineWaySchema = z.union([
	z.literal('quote'),
	z.strictObject({ method: z.enum(LINE_METHODS), percent: percentSchema })
]) satisfies z.ZodType<LineWay, unknown>;

const share = z.number().min(-0.5).max(1.5);
const point = z.tuple([share, share]);
const placed = {
	photo: idSchema,
	width: z.number().int().min(1).max(100_000),
	height: z.number().int().min(1).max(100_000),
	from: point,
	to: point,
	pieces: z.array(z.strictObject({ line: idSchema, x: share, y: share, turned: z.boolean() })).max(100)
};
const placeSchema = z.strictObject({ ...placed, mm: z.number().min(1).max(100_000) }) satisfies z.ZodType<
	Place,
	unknown
>;
/** Guards {@link RawPlace} in what the builder posts. */
export const rawPlaceSchema = z.strictObject({ ...placed, known: z.string().max(40) }) satisfies z.ZodType<
	RawPlace,
	unknown
>;

/** Guards {@link QuoteTerms}: the JSON column and the quote builder. */
export const quoteTermsSchema = z.strictObject({
	occasion: z.string().trim().max(120),
	venue: z.string().trim().max(200),
	setting: z.enum(['indoor', 'outdoor']),
	deliveryMinor: minor.nullable(),
	deliveryCostMinor: minor.nullable(),
	method: z.enum(PRICE_METHODS),
	margin: percentSchema,
	markup: percentSchema,
	rush: percentSchema,
	discount: discountSchema.nullable(),
	tax: percentSchema,
	deposit: percentSchema,
	validDays: z.number().int().min(1).max(365),
	note: z.string().max(2000),
	climate: z
		.strictObject({
			here: z.number().min(200).max(350),
			there: z.number().min(200).max(350),
			sun: z.enum(SUNS),
			height: z.number().min(-500).max(11_000),
			gust: z.number().min(0.3).max(41).optional()
		})
		.nullable()
		.optional(),
	job: jobPlanSchema.nullable().optional(),
	self: z.string().max(2000).optional(),
	place: placeSchema.optional(),
	levels: z.array(level).max(MOST_LEVELS).optional(),
	about: z
		.record(
			idSchema,
			z.strictObject({
				addOn: z.literal(true).optional(),
				group: z.string().min(1).max(60).optional(),
				levels: z.array(level).max(MOST_LEVELS).optional(),
				heading: z.string().min(1).max(80).optional(),
				note: z.string().min(1).max(500).optional(),
				tax: percentSchema.optional(),
				ground: z.enum(GROUNDS).optional(),
				slots: z.record(idSchema, z.union([z.literal(LEFT_OUT), idSchema])).optional()
			})
		)
		.optional(),
	typed: z
		.array(
			z.strictObject({
				id: idSchema,
				label: z.string().min(1).max(120),
				quantity: z.number().int().min(1).max(999),
				priceMinor: minor.nullable(),
				costMinor: minor.nullable(),
				material: idSchema.nullable()
			})
		)
		.max(100)
		.optional(),
	order: z.array(idSchema).max(200).optional()
}) satisfies z.ZodType<QuoteTerms, unknown>;

/** Guards {@link ClientChoice} wherever it comes from. */
export const clientChoiceSchema = z.strictObject({
	level: z.string().max(60).nullable(),
	ticked: z.array(z.number().int().min(0).max(200)).max(100),
	picks: z.record(z.string().max(80), z.number().int().min(0).max(200))
}) satisfies z.ZodType<ClientChoice, unknown>;

const money = z.strictObject({ minor: z.number().int(), currency: z.enum(CURRENCIES) }) satisfies z.ZodType<
	Money,
	unknown
>;

const drawList = z.strictObject({
	view: z.enum(VIEWS),
	paints: z.array(z.strictObject({ hex: z.string(), finish: z.enum(FINISHES) })),
	discs: z.array(
		z.strictObject({
			x: z.number(),
			y: z.number(),
			r: z.number(),
			paint: z.number(),
			row: z.number(),
			outline: z.enum(OUTLINES).optional(),
			flat: z.number().optional(),
			lean: z.number().optional(),
			path: z.array(z.number()).optional()
		})
	),
	tubes: z
		.array(
			z.strictObject({
				x1: z.number(),
				y1: z.number(),
				x2: z.number(),
				y2: z.number(),
				width: z.number(),
				hex: z.string().optional(),
				before: z.number()
			})
		)
		.optional(),
	pole: z.strictObject({ height: z.number() }).nullable(),
	poles: z.array(z.strictObject({ x: z.number(), from: z.number(), height: z.number() })).optional(),
	height: z.number(),
	halfWidth: z.number()
}) satisfies z.ZodType<DrawList, unknown>;

/** Reads version 1 of a frozen quote. Readers of old versions stay for as long as quotes of them do. */
const frozenV1 = z.strictObject({
	version: z.literal(1),
	engine: z.string(),
	number: z.number().int(),
	sentAt: z.string(),
	validUntil: z.string(),
	business: businessSchema,
	client: z.strictObject({ name: z.string() }),
	occasion: z.string(),
	eventDate: z.string().nullable(),
	zone: z.string(),
	venue: z.string(),
	setting: z.enum(['indoor', 'outdoor']),
	lines: z.array(
		z.strictObject({
			name: z.string(),
			colourway: z.string(),
			quantity: z.number().int(),
			amount: money,
			about: z.string(),
			picture: drawList.nullable(),
			photo: z.string().nullable().optional(),
			heading: z.string().optional(),
			note: z.string().optional(),
			tall: z.number().optional(),
			tax: percentSchema.optional()
		})
	),
	delivery: money,
	discount: money,
	subtotal: money,
	net: money,
	tax: money,
	taxPercent: z.string(),
	taxInclusive: z.boolean(),
	total: money,
	deposit: money,
	rounding: z.string(),
	note: z.string(),
	cautions: z.array(z.string()),
	offers: z
		.array(
			z.strictObject({
				level: z.string().nullable(),
				amounts: z.array(z.tuple([z.number().int(), money])),
				firsts: z.array(z.strictObject({ group: z.string(), at: z.number().int() })),
				others: z.array(z.strictObject({ at: z.number().int(), group: z.string().nullable(), adds: money })),
				delivery: money,
				discount: money,
				total: money
			})
		)
		.optional(),
	depositPercent: z.string().optional(),
	revision: z.number().int().optional(),
	exempt: z.string().optional(),
	formats: formatsSchema.optional(),
	place: z
		.strictObject({
			photo: z.string(),
			width: z.number(),
			height: z.number(),
			pieces: z.array(
				z.strictObject({
					line: z.number().int(),
					x: z.number(),
					y: z.number(),
					mm: z.number(),
					turned: z.boolean()
				})
			)
		})
		.optional()
}) satisfies z.ZodType<FrozenQuote, unknown>;

/** Guards {@link FrozenQuote}, whatever version it was written in. */
export const frozenQuoteSchema = z.discriminatedUnion('version', [frozenV1]);

export const frozenOwnerSchema = z.strictObject({
	cost: money,
	unknown: z.array(z.string()),
	margin: z.number().nullable(),
	profit: money,
	versions: z.array(z.string()),
	worked: z
		.strictObject({
			net: z.number(),
			hours: z.number(),
			ownHour: z.number().nullable(),
			ownHours: z.number(),
			feet: z.number(),
			balloons: z.number()
		})
		.optional(),
	glance: z
		.array(
			z.strictObject({
				name: z.string(),
				total: z.number(),
				margin: z.number().nullable(),
				hours: z.number()
			})
		)
		.optional()
}) satisfies z.ZodType<FrozenOwner, unknown>;

/** Guards {@link EventSaid} in the column of an event. */
export const eventSaidSchema = z.strictObject({
	text: z.string().max(2000).optional(),
	name: z.string().max(120).optional(),
	total: z.number().int().optional(),
	choice: clientChoiceSchema.optional(),
	was: z.enum(QUOTE_STATES).optional()
}) satisfies z.ZodType<EventSaid, unknown>;
