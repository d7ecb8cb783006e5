import { z } from 'zod';
import { SIDES } from '../geometry/layers.ts';
import { SIZE_WORDS } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import { JOININGS, RECIPE_FORMAT, RECIPE_VERSION, UPRIGHTS, type Recipe } from './recipe.ts';

const id = z.string().min(1).max(64);
const name = z.string().trim().min(1, 'Give it a name.').max(80, 'A name has at most 80 letters.');
const length = z
	.number()
	.int()
	.min(1)
	.max(200_000_000)
	.transform((v) => v as Micrometres);
/** `n` or `n/d` as `rationalText` writes it, above 0 or at least 0. */
const rationalIn = (pattern: RegExp, say: string) => z.string().max(40).regex(pattern, say);
const positive = rationalIn(/^[1-9]\d{0,15}(\/[1-9]\d{0,15})?$/, 'Must be above 0.');
const percent = rationalIn(/^-?\d{1,9}(\/[1-9]\d{0,11})?$/, 'Must be a number of per cent.');
const origin = z.enum(['typed', 'measured', 'estimated', 'derived']);
const unit = z.enum(['in', 'ft', 'cm', 'mm', 'm']);

const size = z.discriminatedUnion('kind', [
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

const slots = z.array(id).min(1).max(24);
const pattern = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('same'), slot: id }),
	z.strictObject({ kind: z.literal('rings'), slots }),
	z.strictObject({ kind: z.literal('list'), slots }),
	z.strictObject({ kind: z.literal('spiral'), slots, hand: z.enum(['left', 'right']) }),
	z.strictObject({ kind: z.literal('checker'), slots }),
	z.strictObject({
		kind: z.literal('blocks'),
		blocks: z
			.array(z.strictObject({ slot: id, rings: z.number().int().min(1).max(200) }))
			.min(1)
			.max(24)
	})
]);

const place = z.strictObject({
	id,
	kind: z.literal('latex-round'),
	nominal: length,
	size,
	slot: id.nullable()
});
const cluster = z.strictObject({
	id,
	places: z.array(place).min(1).max(24),
	side: z.enum(SIDES),
	tier: z.number().int().min(0).max(2),
	pattern
});
const joining = z.enum(JOININGS);
const layer = z.strictObject({
	id,
	clusters: z.array(cluster).min(1).max(8),
	repeat: z.number().int().min(1).max(200),
	turn: z.enum(['half', 'none']),
	joining: joining.nullable()
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
	z.strictObject({
		kind: z.literal('extras'),
		lines: z.array(z.strictObject({ id, material: id, quantity: positive })).max(400)
	}),
	z.strictObject({ kind: z.literal('design'), design: id, quantity: positive, colourway: id.nullable() })
]);

/** Guards {@link Recipe} at every edge: saves, JSON columns, recipe files. */
export const recipeSchema = z
	.strictObject({
		format: z.literal(RECIPE_FORMAT),
		version: z.literal(RECIPE_VERSION),
		name,
		tags: z.array(z.string().trim().min(1).max(40)).max(20),
		notes: z.string().max(5000),
		slots: z.array(z.strictObject({ id, name })).max(60),
		colourways: z
			.array(z.strictObject({ id, name, fills: z.record(id, id.nullable()) }))
			.min(1)
			.max(60),
		sections: z
			.array(z.strictObject({ id, name, structure, difficulty: positive }))
			.min(1)
			.max(60),
		pricing: z.strictObject({ method: z.enum(['margin', 'markup']), percent }).nullable()
	})
	.superRefine((recipe, context) => {
		const known = new Set(recipe.slots.map((s) => s.id));
		recipe.sections.forEach((section, at) => {
			if (section.structure.kind !== 'stack') return;
			const used = section.structure.layers.flatMap((l) => l.clusters.flatMap((c) => slotIds(c)));
			const missing = used.find((slot) => !known.has(slot));
			if (missing === undefined) return;
			context.addIssue({
				code: 'custom',
				path: ['sections', at],
				message: 'A layer names a slot the recipe does not have.'
			});
		});
	}) satisfies z.ZodType<Recipe, unknown>;

function slotIds(c: z.infer<typeof cluster>): string[] {
	const own = c.places.flatMap((p) => p.slot ?? []);
	const { pattern: p } = c;
	if (p.kind === 'same') return [...own, p.slot];
	return [...own, ...(p.kind === 'blocks' ? p.blocks.map((b) => b.slot) : p.slots)];
}
