import { jobPhotoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals, params }) =>
	jobPhotoAnswer(locals.repos, params.quote, params.photo);
