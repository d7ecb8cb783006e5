import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { rawQuoteSchema } from '$lib/core/quote/raw.schema.ts';
import { readQuote } from '$lib/core/quote/read-form.ts';
import { readJson } from '$lib/server/answers.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

const bodySchema = z.strictObject({
	/** Made at the client: the same save sent again is answered, not done again. */
	saveId: z.string().regex(/^[\w-]{8,64}$/),
	baseRevision: z.number().int().min(1),
	raw: rawQuoteSchema
});
const NO = {
	stale: [
		409,
		'This quote was changed somewhere else. Reload the page to see it; what you typed stays in this tab until then.'
	],
	sent: [409, 'This quote has been sent and does not change any more.'],
	missing: [404, 'There is no such quote.']
} as const;

export const POST: RequestHandler = async ({ request, locals, params }) => {
	const body = await readJson(request, bodySchema);
	if ('answer' in body) return body.answer;
	const { settings } = await loadStudio(locals.repos);
	const { errors, value } = readQuote(body.value.raw, {
		currency: settings.rates.currency,
		style: { decimal: settings.decimal }
	});
	if (!value) return json({ message: 'Some fields cannot be read.', errors }, { status: 400 });
	if (!Intl.supportedValuesOf('timeZone').includes(value.zone))
		return json({ message: 'There is no such time zone.' }, { status: 400 });
	for (const line of value.lines) {
		const version = await locals.repos.designs.version(line.versionId);
		if (!version) return json({ message: 'A line names a design that is not kept.' }, { status: 400 });
	}
	const { baseRevision, saveId } = body.value;
	const outcome = await locals.repos.quotes.save(params.quote, value, {
		baseRevision,
		saveId,
		newId: crypto.randomUUID()
	});
	if (outcome === 'saved') return json({ revision: baseRevision + 1 });
	const [status, message] = NO[outcome];
	return json({ message }, { status });
};
