import { z } from 'zod';
import { idSchema } from '../id.schema.ts';

const money = z.number().int().min(0).nullable();

/** What would take a price list back: packs as they were and as the list made them, and what it added. */
export const undoOfListSchema = z.strictObject({
	packs: z.array(
		z.strictObject({
			id: idSchema,
			was: z.strictObject({ count: z.number().int(), priceMinor: money, depositMinor: money, code: z.string(), suppliersName: z.string() }),
			made: z.strictObject({ count: z.number().int(), priceMinor: money, depositMinor: money, code: z.string(), suppliersName: z.string() })
		})
	),
	addedPacks: z.array(idSchema),
	addedMaterials: z.array(idSchema)
}); // prettier-ignore
export type UndoOfList = z.infer<typeof undoOfListSchema>;
