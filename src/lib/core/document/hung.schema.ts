import { z } from 'zod';
import { id, length } from './fields.schema.ts';
import { HANGINGS, WALLS } from './hung.ts';

export const hung = z
	.strictObject({
		by: z.enum(HANGINGS),
		material: id.nullable(),
		every: length,
		wall: z.enum(WALLS).optional()
	})
	.nullable();
