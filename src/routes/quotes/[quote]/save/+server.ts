import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { rawQuoteSchema } from '$lib/core/quote/raw.schema.ts';
import { readJson } from '$lib/server/answers.ts';
import { saveQuote } from '$lib/server/services/quoting.ts';
import type { RequestHandler } from './$types';

const bodySchema = z.strictObject({
	saveId: z.string().regex(/^[\w-]{8,64}$/),
	baseRevision: z.number().int().min(1),
	raw: rawQuoteSchema
});

export const POST: RequestHandler = async ({ request, locals, params }) => {
	const body = await readJson(request, bodySchema);
	if ('answer' in body) return body.answer;
	const done = await saveQuote(locals.repos, params.quote, body.value);
	if ('revision' in done) return json(done);
	const { status, ...why } = done;
	return json(why, { status });
};
