import { newToken } from '../new-token.ts';
import type { Repos } from '../repos/index.ts';
import type { Work } from '../threads/pool.ts';
import { deskFor } from './desk.ts';
import { post } from './quote-post.ts';
import { sendQuote, type NotSent, type SendOutcome } from './quoting.ts';

/** Why a draft is not sent, for the owner. */
export const WHY_NOT_SENT: Readonly<Record<NotSent | 'stale', string>> = {
	missing: 'There is no such quote.',
	stale: 'It was changed somewhere else. Reload the page, look it over and send it then.',
	'no lines': 'Nothing is on this quote yet. Add a design first.',
	'no price': 'No price can be worked out. Look at the margin.',
	'unknown cost':
		'Some costs are unknown, so the margin may be worse than it looks. Fill them in, or send it all the same.'
};

/** Sends a draft: frozen on a thread of its own, given a link nobody can guess (192 bits), and the client told. */
export async function sendAndPost(
	repos: Repos,
	{ id, evenUnknown }: { readonly id: string; readonly evenUnknown: boolean },
	work: Work,
	url: Pick<URL, 'origin'>
): Promise<SendOutcome> {
	const wanted = { id, token: newToken(), evenUnknown, now: new Date() };
	const outcome = await sendQuote(repos, wanted, (own) => work('frozen quote', own));
	if (outcome !== 'sent') return outcome;
	const issued = (await repos.quotes.find(id))?.issued;
	if (issued) {
		const { now, link } = deskFor(url, issued.token, work);
		const { frozen, number } = issued;
		await post(repos, { id: `${id}.${number}.quote`, quoteId: id, now }, { kind: 'quote', frozen, link });
	}
	return outcome;
}
