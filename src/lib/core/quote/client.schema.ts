import { z } from 'zod';
import type { ClientDetails } from './client.ts';

const text = z.string().max(1000).optional();
/** Guards {@link ClientDetails} in the column of a client. */
export const clientDetailsSchema = z.strictObject({
	address: text,
	delivery: text,
	access: text,
	parking: text,
	floors: text,
	contacts: text,
	likes: text,
	allergies: text,
	terms: text,
	exempt: text
}) satisfies z.ZodType<ClientDetails, unknown>;
