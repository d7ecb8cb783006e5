import { z } from 'zod';

/** What stands under a photo. */
export const captionField = z.string().trim().max(120, 'A caption has at most 120 letters. Shorten it.');
/** The photo a form is about. */
export const photoField = z.object({ photo: z.string().min(1).max(64) });
