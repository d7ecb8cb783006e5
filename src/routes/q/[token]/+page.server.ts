import { today } from '@internationalized/date';
import { error } from '@sveltejs/kit';
import { stateOn } from '$lib/core/quote/states.ts';
import type { PageServerLoad } from './$types';

/** The client's page: the frozen copy and nothing else. Costs are never read here, so they cannot be shown. */
export const load: PageServerLoad = async ({ locals, params, setHeaders }) => {
	setHeaders({ 'cache-control': 'private, no-store', 'x-robots-tag': 'noindex' });
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (!found)
		error(404, {
			message: 'This link does not open a quote.',
			hint: 'Check that it is whole, or ask for it again.'
		});
	// The last day counts, where the business is.
	const day = today(found.frozen.zone).toString();
	const { frozen } = found;
	return { frozen, state: stateOn(found.state, day, frozen.validUntil), token: params.token };
};
