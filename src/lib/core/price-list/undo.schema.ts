import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import type { SaidOfPack } from './said-of-pack.ts';

const money = z.number().int().min(0).nullable();

const said = z.strictObject({ count: z.number().int(), priceMinor: money, depositMinor: money, code: z.string(), suppliersName: z.string() }) satisfies z.ZodType<SaidOfPack, unknown>; // prettier-ignore

/** What would take a price list back: packs as they were and as the list made them, and what it added. */
export const undoOfListSchema = z.strictObject({
	packs: z.array(
		z.strictObject({ id: idSchema, was: said, made: said })
	),
	addedPacks: z.array(idSchema),
	addedMaterials: z.array(idSchema)
}); // prettier-ignore
export type UndoOfList = z.infer<typeof undoOfListSchema>;
