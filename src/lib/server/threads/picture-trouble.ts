import { isHttpError } from '@sveltejs/kit';
import { DAMAGED, TOO_LARGE, type Uploaded } from '../services/check-picture.ts';
import type { Work } from './pool.ts';

/**
 * What is wrong with a picture, in words; nothing where it can be shown. One that takes all the time or memory there is, is
 * too large; one that ends its thread is damaged.
 */
export async function pictureTrouble(work: Work, { bytes, type }: Uploaded): Promise<string> {
	try {
		return await work('check picture', { bytes, type });
	} catch (cause) {
		return isHttpError(cause, 503) ? TOO_LARGE : DAMAGED;
	}
}
