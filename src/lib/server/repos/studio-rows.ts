import { createSchemaFactory } from 'drizzle-zod';
import { z, type ZodObject, type ZodType } from 'zod';
import { countedLinesSchema } from '../../core/count-back/counted.schema.ts';
import { jobCountedSchema } from '../../core/job/counted.schema.ts';
import { jobSaidSchema } from '../../core/job/job.schema.ts';
import { factsSchema } from '../../core/materials/facts.schema.ts';
import { breaksSchema, partColourSchema, reuseSchema } from '../../core/materials/material.schema.ts';
import { frozenPaperSchema } from '../../core/papers/paper.schema.ts';
import { readPhoto } from '../../core/photo/read-photo.ts';
import { savedColumnsSchema } from '../../core/price-list/columns.schema.ts';
import { undoOfListSchema } from '../../core/price-list/undo.schema.ts';
import { clientDetailsSchema } from '../../core/quote/client.schema.ts';
import { eventSaidSchema, frozenOwnerSchema, frozenQuoteSchema, lineWaySchema, quoteTermsSchema } from '../../core/quote/quote.schema.ts'; // prettier-ignore
import { recipeSchema } from '../../core/recipe/recipe.schema.ts';
import { STUDIO_TABLES, STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';

const { createInsertSchema } = createSchemaFactory({ coerce: { date: true } });

/** Looked at as it would be read, kept as it was written. */
const readBy = (schema: ZodType) =>
	z.unknown().superRefine((value, { addIssue }) => {
		const read = schema.safeParse(value);
		if (!read.success)
			addIssue({ code: 'custom', message: read.error.issues[0]?.message ?? 'Cannot be read.' });
	});
const orNull = (schema: ZodType) => readBy(schema.nullable());
/** The picture itself: of a kind that is shown, and whole. */
const picture = z
	.instanceof(Uint8Array)
	.refine((bytes) => readPhoto(bytes).ok, 'This picture cannot be read.')
	.transform((bytes) => Buffer.from(bytes));

/** Documents inside rows, each by the schema that reads it. A column of plain data that is not here is refused by a test. */
export const DOCUMENTS: Partial<Record<StudioTable, Readonly<Record<string, ZodType>>>> = {
	colour: { parts: orNull(partColourSchema.omit({ hex: true }).array()) },
	supplier: { listColumns: orNull(savedColumnsSchema) },
	material: { reuse: orNull(reuseSchema), facts: orNull(factsSchema) },
	pack: { breaks: orNull(breaksSchema) },
	priceList: { undo: readBy(undoOfListSchema) },
	design: { working: readBy(recipeSchema) },
	designVersion: { recipe: readBy(recipeSchema) },
	photo: { bytes: picture },
	countBack: { lines: readBy(countedLinesSchema) },
	client: { details: readBy(clientDetailsSchema) },
	quote: { terms: readBy(quoteTermsSchema) },
	quoteLine: { way: orNull(lineWaySchema) },
	quoteIssue: { frozen: readBy(frozenQuoteSchema), frozenOwner: readBy(frozenOwnerSchema) },
	quoteEvent: { said: orNull(eventSaidSchema) },
	paper: { frozen: readBy(frozenPaperSchema) },
	placePhoto: { bytes: picture },
	jobPhoto: { bytes: picture },
	job: { said: readBy(jobSaidSchema) },
	jobCount: { counted: readBy(jobCountedSchema) }
};

const rowSchema = (name: StudioTable): ZodType<Readonly<Record<string, unknown>>> => {
	const shape = createInsertSchema(STUDIO_TABLES[name]).shape as ZodObject['shape'];
	const own = Object.entries(shape).filter(([column]) => column !== 'workspaceId' && !(name === 'changeEntry' && column === 'id')); // prettier-ignore
	return z.strictObject({
		...Object.fromEntries(own),
		...DOCUMENTS[name]
	});
};

/** A row of a studio as it may come in from a file: without whose it is. */
export const STUDIO_ROWS = Object.fromEntries(
	STUDIO_TABLE_NAMES.map((name) => [name, rowSchema(name)])
) as Readonly<Record<StudioTable, ZodType<Readonly<Record<string, unknown>>>>>;
