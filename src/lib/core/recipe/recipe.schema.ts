import { MEASURES } from '../document/measure.ts';
import { PRICE_METHODS } from '../pricing/methods.ts';
import { z } from 'zod';
import type { Micrometres } from '../units/length.ts';
import { COUNTS } from '../document/rule.ts';
import { MOST_AHEAD, MOST_PAID, RECIPE_FORMAT, RECIPE_VERSION, type Recipe } from './recipe.ts';
import { SLOT_ROLES } from '../document/slot.ts';
import { STANDINGS } from '../document/stand.ts';
import { amount, host, id, length, name, percent, positive } from '../document/fields.schema.ts';
import { structure } from '../structures/registry/document.schema.ts';
import { MOST_OF_A_LINE } from '../document/limits.ts';
import { MOST_IN_CHECK, MOST_IN_TOOL, MOST_STEPS, STEP_PLACES } from '../document/step.ts';
import { brokenLinks } from './links.ts';
import { upgrade } from './upgrade.ts';

const section = z.strictObject({
	id,
	name,
	structure,
	difficulty: positive,
	notes: z.string().max(5000),
	times: z.number().int().min(1).max(24),
	mirror: z.boolean(),
	stand: z.strictObject({
		by: id.nullable(),
		how: z.enum(STANDINGS),
		height: length.or(z.literal(0).transform((v) => v as Micrometres)).nullable(),
		layer: id.nullable(),
		gap: length.or(z.literal(0)),
		tie: id.nullable(),
		down: id.optional(),
		at: host.optional()
	}),
	swappable: z.boolean(),
	open: z
		.strictObject({ out: z.boolean(), when: z.string().trim().max(80), group: id.optional() })
		.optional(),
	ahead: z.number().int().min(0).max(MOST_AHEAD).optional()
});

const step = z.strictObject({
	/** Made steps are known by what kind they are and the id they are about. */
	id: z.string().min(1).max(90),
	own: z.boolean(),
	says: z.strictObject({
		text: z
			.string()
			.trim()
			.min(1, 'Say what is done.')
			.max(500, 'A step has at most 500 letters.')
			.optional(),
		place: z.enum(STEP_PLACES).optional(),
		tool: z.string().trim().max(MOST_IN_TOOL, `A tool has at most ${MOST_IN_TOOL} letters.`).optional(),
		method: z.string().trim().max(80, 'A method has at most 80 letters.').optional(),
		wait: z.number().int().min(0).max(604_800, 'A wait is at most a week.').optional(),
		takes: z.number().int().min(0).max(604_800, 'A step takes at most a week.').optional(),
		check: z.string().trim().max(MOST_IN_CHECK, `A check has at most ${MOST_IN_CHECK} letters.`).optional(),
		photo: id.optional()
	}),
	uses: z.array(id).max(60),
	out: z.boolean()
});

/** The newest shape by itself: what the published JSON Schema is made from. */
export const newestRecipe = z.strictObject({
	format: z.literal(RECIPE_FORMAT),
	version: z.literal(RECIPE_VERSION),
	name,
	tags: z.array(z.string().trim().min(1).max(40)).max(20),
	notes: z.string().max(5000),
	credit: z.string().max(300),
	slots: z
		.array(z.strictObject({ id, name, role: z.enum(SLOT_ROLES).nullable(), any: z.literal(true).optional() }))
		.max(60),
	colourways: z
		.array(z.strictObject({ id, name, fills: z.record(id, id.nullable()), without: z.array(id).max(60) }))
		.min(1)
		.max(60),
	sections: z.array(section).min(1).max(60),
	pricing: z.strictObject({ method: z.enum(PRICE_METHODS), percent }).nullable(),
	silenced: z
		.array(
			z.strictObject({
				finding: z.string().min(1).max(120),
				reason: z.string().trim().min(1, 'Say why.').max(300)
			})
		)
		.max(200),
	tall: z.enum(MEASURES).optional(),
	sizes: z
		.array(
			z.strictObject({
				id,
				name,
				height: length.nullable(),
				of: z.enum(MEASURES).optional(),
				by: z.enum(['layers', 'scale']),
				swaps: z.record(id, id),
				parts: z.record(id, id),
				open: z.record(id, z.boolean()).optional()
			})
		)
		.max(24),
	rules: z
		.array(
			z.strictObject({
				of: z.enum(COUNTS),
				each: amount('Pieces a count are a number, 0 or more.', MOST_OF_A_LINE),
				material: id.nullable()
			})
		)
		.max(60),
	steps: z.array(step).max(MOST_STEPS),
	paid: z
		.array(
			z.strictObject({
				id,
				label: z.string().trim().min(1, 'Say what is paid for.').max(120),
				minor: z.number().int().min(0).max(100_000_000)
			})
		)
		.max(MOST_PAID)
		.optional()
});

/** Guards {@link Recipe} at every edge: saves, JSON columns, recipe files. Older versions are read as the newest. */
export const recipeSchema = z.preprocess(
	upgrade,
	newestRecipe.superRefine((recipe, context) => {
		for (const { path, message } of brokenLinks(recipe)) context.addIssue({ code: 'custom', path, message });
	})
) satisfies z.ZodType<Recipe, unknown>;
