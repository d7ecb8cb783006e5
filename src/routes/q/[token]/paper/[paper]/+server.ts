import { error } from '@sveltejs/kit';
import { paperName } from '$lib/core/papers/paper.ts';
import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { paperDays } from '$lib/server/services/orders.ts';
import type { RequestHandler } from './$types';

/** A paper of the order that a client's link opens. */
export const GET: RequestHandler = async ({ request, locals, params }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	const paper = found && (await locals.repos.papers.find(params.paper));
	if (!paper || paper.quoteId !== found.quoteId) error(404, { message: 'There is no such paper.' });
	const { frozen } = paper;
	const body = await locals.work('client paper', { paper: frozen, days: paperDays(frozen) }, paper.id);
	return bytesAnswer(request, {
		body,
		from: paper.id,
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${paperName(frozen)}.pdf"`
		}
	});
};
