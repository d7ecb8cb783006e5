import { photoAnswer } from '$lib/server/photo-answer.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals, params }) => photoAnswer(locals.repos, params.photo);
