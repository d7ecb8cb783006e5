import { error } from '@sveltejs/kit';
import { asShown } from '$lib/core/quote/chosen.ts';
import { quoteCsv, quoteJson } from '$lib/server/papers/files.ts';
import { orderOf } from '$lib/server/services/orders.ts';
import type { RequestHandler } from './$types';

/** A quote as it was sent, for a program: `?as=csv` or `?as=json`. As it was chosen where there is a yes. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const quote = await locals.repos.quotes.find(params.quote);
	if (!quote?.issued) error(404, { message: 'Only a quote that was sent is a file.' });
	const order = await orderOf(locals.repos, params.quote);
	const frozen = order?.frozen ?? quote.issued.frozen;
	const chosen = order?.chosen ?? asShown(frozen);
	const isCsv = url.searchParams.get('as') === 'csv';
	return new Response(isCsv ? quoteCsv(frozen, chosen) : quoteJson(frozen, chosen), {
		headers: {
			'content-type': isCsv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="quote-${frozen.number}.${isCsv ? 'csv' : 'json'}"`
		}
	});
};
