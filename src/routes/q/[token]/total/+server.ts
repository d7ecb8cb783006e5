import { json } from '@sveltejs/kit';
import { formatMoney } from '$lib/core/money/money.ts';
import { atSomeLevel, chosenOf } from '$lib/core/quote/chosen.ts';
import { readChoice } from '$lib/core/quote/read-choice.ts';
import type { RequestHandler } from './$types';

/** What a choice comes to, as it is ticked: added up from what was frozen. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const found = await locals.repos.sentQuotes.byToken(params.token);
	if (!found) return json({ message: 'This link does not open a quote.' }, { status: 404 });
	const { frozen } = found;
	const chosen = chosenOf(frozen, atSomeLevel(frozen, readChoice(url.searchParams, frozen)));
	return 'refused' in chosen
		? json({ message: chosen.refused }, { status: 400 })
		: json({ total: formatMoney(chosen.total, frozen.formats) });
};
