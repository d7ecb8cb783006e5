import { z } from 'zod';
import { SIDES } from '../geometry/layers.ts';
import { SIZE_WORDS } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import {
	JOININGS,
	ON_THE_FLOOR,
	RECIPE_FORMAT,
	RECIPE_VERSION,
	STANDINGS,
	UPRIGHTS,
	type Cluster,
	type Recipe,
	type Section
} from './recipe.ts';

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

const firstSection = { id, name, structure, difficulty: positive };
const section = z.strictObject({
	...firstSection,
	notes: z.string().max(5000),
	times: z.number().int().min(1).max(24),
	mirror: z.boolean(),
	stand: z.strictObject({
		by: id.nullable(),
		how: z.enum(STANDINGS),
		height: length.or(z.literal(0).transform((v) => v as Micrometres)).nullable(),
		gap: length.or(z.literal(0)),
		tie: id.nullable()
	})
});

const document = {
	format: z.literal(RECIPE_FORMAT),
	name,
	tags: z.array(z.string().trim().min(1).max(40)).max(20),
	notes: z.string().max(5000),
	slots: z.array(z.strictObject({ id, name })).max(60),
	colourways: z
		.array(z.strictObject({ id, name, fills: z.record(id, id.nullable()) }))
		.min(1)
		.max(60),
	pricing: z.strictObject({ method: z.enum(['margin', 'markup']), percent }).nullable()
};

/** Version 1 had sections that all stood on the floor. Its reader stays for as long as kept versions of it do. */
const versionOne = z
	.strictObject({
		...document,
		version: z.literal(1),
		sections: z.array(z.strictObject(firstSection)).min(1).max(60)
	})
	.transform(({ sections, ...rest }) => ({
		...rest,
		version: RECIPE_VERSION as typeof RECIPE_VERSION,
		silenced: [],
		sections: sections.map((s): Section => ({
			...s,
			notes: '',
			times: 1,
			mirror: false,
			stand: ON_THE_FLOOR
		}))
	}));
const versionTwo = z.strictObject({
	...document,
	version: z.literal(RECIPE_VERSION),
	sections: z.array(section).min(1).max(60),
	silenced: z
		.array(
			z.strictObject({
				finding: z.string().min(1).max(120),
				reason: z.string().trim().min(1, 'Say why.').max(300)
			})
		)
		.max(200)
});

/** Guards {@link Recipe} at every edge: saves, JSON columns, recipe files. Older versions are read as the newest. */
export const recipeSchema = z
	.discriminatedUnion('version', [versionTwo, versionOne])
	.superRefine((recipe, context) => {
		const known = new Set(recipe.slots.map((s) => s.id));
		const lost = lostSection(recipe.sections);
		if (lost >= 0) {
			context.addIssue({
				code: 'custom',
				path: ['sections', lost, 'stand'],
				message: 'It stands by a section that is not there, or in the end by itself.'
			});
		}
		recipe.sections.forEach((section, at) => {
			if (section.structure.kind !== 'stack') return;
			const used = section.structure.layers.flatMap((l) => l.clusters.flatMap(slotIds));
			const missing = used.find((slot) => !known.has(slot));
			if (missing === undefined) return;
			context.addIssue({
				code: 'custom',
				path: ['sections', at],
				message: 'A layer names a slot the recipe does not have.'
			});
		});
	}) satisfies z.ZodType<Recipe, unknown>;

function slotIds(c: Cluster): string[] {
	const own = c.places.flatMap((p) => p.slot ?? []);
	const { pattern: p } = c;
	if (p.kind === 'same') return [...own, p.slot];
	return [...own, ...(p.kind === 'blocks' ? p.blocks.map((b) => b.slot) : p.slots)];
}

/** Index of the first section whose way down never reaches the floor; -1 where all do. */
function lostSection(sections: readonly Section[]): number {
	return sections.findIndex((start) => {
		let now: Section | undefined = start;
		for (let steps = 0; now; steps++) {
			if (now.stand.by === null) return false;
			if (steps > sections.length) return true;
			const { by }: { by: string | null } = now.stand;
			now = sections.find((s) => s.id === by);
		}
		return true;
	});
}
