import { error } from '@sveltejs/kit';
import { dayWords, longDayWords } from '$lib/core/quote/day-words.ts';
import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { lookedAt } from '$lib/server/services/looked-at.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ request, locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (!found)
		error(404, {
			message: 'This link does not open a quote.',
			hint: 'Check that it is whole, or ask for it again.'
		});
	await lookedAt(locals, params.token, request, 'paper');
	const { frozen } = found;
	const words = {
		eventDay: frozen.eventDate ? longDayWords(frozen.eventDate, frozen.formats) : '',
		validDay: dayWords(frozen.validUntil, frozen.formats)
	};
	// What was sent never changes.
	const pdf = await locals.work('quote paper', { frozen, words }, params.token);
	return bytesAnswer(request, {
		body: pdf,
		from: params.token,
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="quote-${frozen.number}.pdf"`
		}
	});
};
