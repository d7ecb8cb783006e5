import { error, fail, redirect } from '@sveltejs/kit';
import { asShown } from '$lib/core/quote/chosen.ts';
import { PAYMENT_STATES } from '$lib/core/quote/kinds.ts';
import { readChoice } from '$lib/core/quote/read-choice.ts';
import { deskFor } from '$lib/server/services/desk.ts';
import { lookedAt } from '$lib/server/services/looked-at.ts';
import { clientPage } from '$lib/server/services/client-page.ts';
import { answerQuote, payOrder } from '$lib/server/services/orders.ts';
import type { Actions, PageServerLoad } from './$types';

const LOST = {
	message: 'This link does not open a quote.',
	hint: 'Check that it is whole, or ask for it again.'
};

const CLOSED = {
	message: 'This link is not open any more.',
	hint: 'Ask us for a new one: nothing of what you said is lost.'
};

/** No page of the studio: words, pictures and forms. What a script adds is in `static/client-page.js`. */
export const csr = false;

/** The client's page: what was frozen and what the client did with it. Costs are never read here, so they cannot be shown. */
export const load: PageServerLoad = async ({ locals, params, request, url, setHeaders }) => {
	setHeaders({ 'cache-control': 'private, no-store', 'x-robots-tag': 'noindex' });
	if (locals.link === 'busy') error(429, { message: 'Too many links were tried from here. Try again in a few minutes.' }); // prettier-ignore
	if (locals.link === 'ended' || locals.link === 'old') error(410, CLOSED);
	const found = await clientPage(locals.repos, params.token, url.searchParams);
	if (!found) error(404, LOST);
	if (!url.searchParams.has('look')) await lookedAt(locals, params.token, request, 'page');
	return { ...found, token: params.token, key: crypto.randomUUID() };
};

const WHY = {
	missing: LOST.message,
	old: 'This offer was written anew since. Ask us for the new link: nothing was changed by this.',
	lapsed: 'This offer has lapsed, so it cannot be answered any more. Ask us, and we look at it again.',
	cancelled: 'This offer was taken back. Ask us about it.',
	cannot: 'This cannot be said to it any more.'
} as const;
const NOT_PAID = {
	'no order': 'There is nothing to pay: this offer has no yes yet.',
	'all paid': 'All is paid already. Nothing was charged.',
	'on its way': 'A payment is on its way already. Nothing was charged; we tell you when it is here.',
	'wrong amount': 'That is not what is to be paid now, so nothing was charged. Look at the amount below.'
} as const;

const text = (form: FormData, field: string, most: number): string => {
	const value = form.get(field);
	return typeof value === 'string' ? value.trim().slice(0, most + 1) : '';
};

export const actions: Actions = {
	accept: async ({ request, locals, params, url }) => {
		const form = await request.formData();
		const found = await locals.repos.sentQuotes.byToken(params.token);
		if (!found) error(404, LOST);
		const name = text(form, 'name', 120);
		const choice = readChoice(form, found.frozen);
		const sent = { name, choice, chosen: asShown(found.frozen, choice) };
		if (name === '') return fail(400, { ...sent, wrong: 'name', say: 'Who says yes? Type your name.' });
		if (name.length > 120)
			return fail(400, {
				...sent,
				name: name.slice(0, 120),
				wrong: 'name',
				say: 'Type your name in up to 120 letters.'
			});
		const outcome = await answerQuote(
			locals.repos,
			params.token,
			{ event: 'accepted', name, choice },
			deskFor(url, params.token, locals.work)
		);
		if (typeof outcome === 'object') return fail(400, { ...sent, wrong: 'choice', say: outcome.refused });
		if (outcome === 'done' || outcome === 'already') redirect(303, `/q/${params.token}`);
		return fail(409, { ...sent, wrong: 'answer', say: WHY[outcome] });
	},
	decline: async ({ request, locals, params, url }) => {
		const form = await request.formData();
		const answer = { event: 'declined', text: text(form, 'reason', 1000).slice(0, 1000) } as const;
		const outcome = await answerQuote(
			locals.repos,
			params.token,
			answer,
			deskFor(url, params.token, locals.work)
		);
		if (outcome === 'done' || outcome === 'already') redirect(303, `/q/${params.token}`);
		return fail(409, { wrong: 'answer', say: typeof outcome === 'object' ? outcome.refused : WHY[outcome] });
	},
	ask: async ({ request, locals, params, url }) => {
		const question = text(await request.formData(), 'question', 1000);
		const again = { question: question.slice(0, 1000) };
		if (question === '')
			return fail(400, {
				...again,
				wrong: 'question',
				say: 'What would you like to know? Type your question.'
			});
		if (question.length > 1000)
			return fail(400, { ...again, wrong: 'question', say: 'Ask it in up to 1,000 letters.' });
		const answer = { event: 'asked', text: question } as const;
		const outcome = await answerQuote(
			locals.repos,
			params.token,
			answer,
			deskFor(url, params.token, locals.work)
		);
		if (outcome === 'done') redirect(303, `/q/${params.token}#talk`);
		return fail(409, {
			...again,
			wrong: 'question',
			say: typeof outcome === 'object' ? outcome.refused : outcome === 'already' ? '' : WHY[outcome]
		});
	},
	pay: async ({ request, locals, params, url }) => {
		const form = await request.formData();
		const found = await locals.repos.sentQuotes.byToken(params.token);
		if (!found) error(404, LOST);
		const [key, minor] = [text(form, 'key', 64), Number(text(form, 'minor', 12))];
		const kind = form.get('kind') === 'balance' ? 'balance' : 'deposit';
		const answer = PAYMENT_STATES.find((a) => a === form.get('card'));
		if (!/^[\w-]{8,64}$/.test(key) || !Number.isSafeInteger(minor))
			return fail(400, {
				wrong: 'pay',
				say: 'That payment could not be read. Reload the page and try again.'
			});
		if (!answer) return fail(400, { wrong: 'pay', say: 'Choose a card to pay with.' });
		if (found.isOld) return fail(409, { wrong: 'pay', say: WHY.old });
		const done = await payOrder(
			locals.repos,
			found.quoteId,
			{ key, kind, minor, answer },
			deskFor(url, params.token, locals.work)
		);
		if (typeof done === 'string') return fail(409, { wrong: 'pay', say: NOT_PAID[done] });
		if (done.state === 'failed')
			return fail(402, {
				wrong: 'pay',
				say: 'The card was turned down, so nothing was charged. Try another one.'
			});
		redirect(303, `/q/${params.token}#pay`);
	}
};
