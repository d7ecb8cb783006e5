import { json } from '@sveltejs/kit';
import { tallyRequestSchema } from '$lib/core/tally/request.schema.ts';
import { readJson } from '$lib/server/answers.ts';
import type { RequestHandler } from './$types';

/** A recipe in, its bill, work, cost and price out. Nothing is saved. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readJson(request, tallyRequestSchema);
	if ('answer' in read) return read.answer;
	const answer = await locals.work('tally', read.value);
	return 'refused' in answer ? json({ message: answer.refused }, { status: 400 }) : json(answer);
};
