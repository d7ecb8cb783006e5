import { placePhotoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

/** A photo of the client's place. */
export const GET: RequestHandler = ({ locals, params }) => placePhotoAnswer(locals.repos, params.photo);
