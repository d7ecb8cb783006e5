import { error } from '@sveltejs/kit';
import { dayWords, longDayWords } from '$lib/features/quotes/day-words.ts';
import { quotePdf } from '$lib/server/pdf/quote.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (!found)
		error(404, {
			message: 'This link does not open a quote.',
			hint: 'Check that it is whole, or ask for it again.'
		});
	const { frozen } = found;
	const words = {
		eventDay: frozen.eventDate ? longDayWords(frozen.eventDate) : '',
		validDay: dayWords(frozen.validUntil)
	};
	const pdf = await quotePdf(frozen, words);
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="quote-${frozen.number}.pdf"`,
			'cache-control': 'private, no-store'
		}
	});
};
