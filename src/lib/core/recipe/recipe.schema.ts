import { z } from 'zod';
import type { Micrometres } from '../units/length.ts';
import { COUNTS } from '../document/rule.ts';
import { FIXINGS } from '../structures/applied/document.ts';
import { FOIL_LOOKS } from '../document/foil-look.ts';
import { LINE_ROLES } from '../document/line-role.ts';
import { MODELS, SHAPINGS } from '../structures/form/document.ts';
import { RECIPE_FORMAT, RECIPE_VERSION, type Recipe } from './recipe.ts';
import { SLOT_ROLES } from '../document/slot.ts';
import { STANDINGS } from '../document/stand.ts';
import { UPRIGHTS } from '../structures/stack/document.ts';
import {
	amount,
	cluster,
	id,
	joining,
	length,
	name,
	ownBalloon,
	percent,
	positive,
	side,
	size
} from '../document/fields.schema.ts';
import { MOST_ALIKE, MOST_FIXINGS, MOST_LETTERS, MOST_OF_A_LINE } from '../document/limits.ts';
import { run } from '../structures/run/document.schema.ts';
import { weave } from '../structures/weave/document.schema.ts';
import { MOST_STEPS, STEP_PLACES } from '../document/step.ts';
import { brokenLinks } from './links.ts';
import { upgrade } from './upgrade.ts';

const layer = z.strictObject({
	id,
	clusters: z.array(cluster).min(1).max(8),
	repeat: z.number().int().min(1).max(200),
	turn: z.enum(['half', 'none']),
	joining: joining.nullable()
});

const host = z.discriminatedUnion('on', [
	z.strictObject({ on: z.literal('layer'), layer: id, side }),
	z.strictObject({ on: z.literal('place'), place: id }),
	z.strictObject({ on: z.literal('piece'), piece: id }),
	z.strictObject({ on: z.literal('path'), at: length }),
	z.strictObject({ on: z.literal('wall'), height: length, across: z.number().int().min(-5e7).max(5e7) })
]);
const piece = z.strictObject({
	id,
	name,
	what: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon }),
		z.strictObject({ kind: z.literal('material'), material: id.nullable(), flat: length.nullable() })
	]),
	on: z
		.array(z.strictObject({ host, count: z.number().int().min(1).max(MOST_ALIKE) }))
		.min(1)
		.max(60),
	fixing: z.enum(FIXINGS),
	each: amount('Fixings are a number, 0 or more.', MOST_FIXINGS),
	swappable: z.boolean()
});
const line = z.strictObject({
	id,
	material: id,
	quantity: positive,
	range: z.strictObject({ low: positive, high: positive }).nullable(),
	role: z.enum(LINE_ROLES),
	taken: z.boolean(),
	choice: z
		.strictObject({
			group: z.string().trim().min(1, 'Say what it is a choice of.').max(80),
			when: z.string().trim().max(80)
		})
		.nullable(),
	serves: z.array(id).max(60),
	onSpot: z.literal(true).optional(),
	swappable: z.boolean()
});

const look = z.enum(FOIL_LOOKS);
const bunchItem = z.strictObject({
	id,
	name,
	count: z.number().int().min(1).max(MOST_ALIKE),
	what: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon }),
		z.strictObject({
			kind: z.literal('material'),
			material: id.nullable(),
			flat: length.nullable(),
			look,
			chambers: z.number().int().min(1).max(8)
		}),
		z.strictObject({
			kind: z.literal('letters'),
			text: z
				.string()
				.trim()
				.min(1, 'Type the wording.')
				.max(MOST_LETTERS, `A wording has at most ${MOST_LETTERS} letters.`),
			height: length,
			slot: id,
			look
		})
	]),
	gas: z.enum(['air', 'helium']),
	ribbon: z.strictObject({ material: id.nullable(), length: length.nullable() }).nullable(),
	swappable: z.boolean()
});
const bunchWeight = z.discriminatedUnion('kind', [
	z.strictObject({
		kind: z.literal('material'),
		material: id.nullable(),
		count: z.number().int().min(1).max(50)
	}),
	z.strictObject({ kind: z.literal('balloon'), balloon: ownBalloon })
]);
const formPiece = z.strictObject({
	id,
	name,
	model: z.enum(MODELS),
	slot: id,
	count: z.number().int().min(1).max(MOST_ALIKE),
	take: z.discriminatedUnion('kind', [
		z.strictObject({ kind: z.enum(['whole', 'part', 'scrap']) }),
		z.strictObject({ kind: z.literal('cut'), pieces: z.number().int().min(2).max(24) })
	]),
	bubbles: z.array(length).max(40),
	size,
	shaping: z.enum(SHAPINGS),
	angle: z.number().min(0).max(360),
	grows: length.or(z.literal(0)),
	strands: z.number().int().min(1).max(6),
	softened: z.boolean(),
	neckOff: z.boolean(),
	at: host.nullable()
});

const structure = z.discriminatedUnion('kind', [
	z.strictObject({
		kind: z.literal('stack'),
		layers: z.array(layer).max(400),
		upright: z.strictObject({
			kind: z.enum(UPRIGHTS),
			length: length.nullable(),
			material: id.nullable(),
			tie: length
		}),
		joining,
		squash: z.number().min(0.5).max(1.2),
		onFloor: z.boolean()
	}),
	z.strictObject({ kind: z.literal('applied'), pieces: z.array(piece).max(200) }),
	z.strictObject({ kind: z.literal('extras'), lines: z.array(line).max(400) }),
	z.strictObject({
		kind: z.literal('bunch'),
		arrangement: z.enum(['bunch', 'row']),
		items: z.array(bunchItem).max(100),
		weight: bunchWeight.nullable()
	}),
	z.strictObject({ kind: z.literal('form'), pieces: z.array(formPiece).max(100) }),
	run,
	weave,
	z.strictObject({
		kind: z.literal('design'),
		design: id,
		quantity: positive,
		colourway: id.nullable(),
		size: id.nullable(),
		version: z.number().int().min(1).nullable()
	})
]);

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
		tie: id.nullable()
	}),
	swappable: z.boolean()
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
		tool: z.string().trim().max(80, 'A tool has at most 80 letters.').optional(),
		method: z.string().trim().max(80, 'A method has at most 80 letters.').optional(),
		wait: z.number().int().min(0).max(604_800, 'A wait is at most a week.').optional(),
		check: z.string().trim().max(300, 'A check has at most 300 letters.').optional(),
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
	slots: z.array(z.strictObject({ id, name, role: z.enum(SLOT_ROLES).nullable() })).max(60),
	colourways: z
		.array(z.strictObject({ id, name, fills: z.record(id, id.nullable()), without: z.array(id).max(60) }))
		.min(1)
		.max(60),
	sections: z.array(section).min(1).max(60),
	pricing: z.strictObject({ method: z.enum(['margin', 'markup']), percent }).nullable(),
	silenced: z
		.array(
			z.strictObject({
				finding: z.string().min(1).max(120),
				reason: z.string().trim().min(1, 'Say why.').max(300)
			})
		)
		.max(200),
	sizes: z
		.array(
			z.strictObject({
				id,
				name,
				height: length.nullable(),
				by: z.enum(['layers', 'scale']),
				swaps: z.record(id, id),
				parts: z.record(id, id)
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
	steps: z.array(step).max(MOST_STEPS)
});

/** Guards {@link Recipe} at every edge: saves, JSON columns, recipe files. Older versions are read as the newest. */
export const recipeSchema = z.preprocess(
	upgrade,
	newestRecipe.superRefine((recipe, context) => {
		for (const { path, message } of brokenLinks(recipe)) context.addIssue({ code: 'custom', path, message });
	})
) satisfies z.ZodType<Recipe, unknown>;
