import { randomBytes } from 'node:crypto';
import { error, fail } from '@sveltejs/kit';
import { chargedOf } from '$lib/core/study/charged.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { orderBook, recipePage, sendQuote } from '$lib/server/services/quoting.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const quote = await locals.repos.quotes.find(params.quote);
	if (!quote) error(404, { message: 'There is no such quote.', hint: 'Find it under Quotes.' });
	const [studio, offered, clients] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.quotes.offered(),
		locals.repos.clients.list()
	]);
	const { settings, materials, colours } = studio;
	// The recipes of what is on the quote; of what is added later the builder asks.
	const book = await recipePage(
		locals.repos,
		quote.lines.map((l) => l.versionId)
	);
	const charged = (await locals.repos.orders.sent(quote.id)).flatMap((sent) => chargedOf(sent) ?? []);
	return {
		quote,
		charged,
		book: await orderBook(locals.repos, studio),
		offered,
		clients: clients.map((c) => c.name),
		...book,
		settings,
		materials,
		colours,
		zones: Intl.supportedValuesOf('timeZone'),
		link: quote.issued && `${url.origin}/q/${quote.issued.token}`
	};
};

const WHY = {
	missing: 'There is no such quote.',
	stale: 'It was changed somewhere else. Reload the page, look it over and send it then.',
	'no lines': 'Nothing is on this quote yet. Add a design first.',
	'no price': 'No price can be worked out. Look at the margin.',
	'unknown cost':
		'Some costs are unknown, so the margin may be worse than it looks. Fill them in, or send it all the same.'
} as const;

const ANSWERS = ['accepted', 'declined', 'answer taken back'] as const;

export const actions: Actions = {
	send: async ({ request, locals, params }) => {
		const form = await fieldsOf(request);
		const outcome = await sendQuote(
			locals.repos,
			{
				id: params.quote,
				token: randomBytes(24).toString('base64url'),
				evenUnknown: form.even === 'yes',
				now: new Date()
			},
			(wanted) => locals.work('frozen quote', wanted)
		);
		if (outcome === 'sent') return { sent: true };
		return fail(400, { trouble: WHY[outcome], even: outcome === 'unknown cost' });
	},
	decide: async ({ request, locals, params }) => {
		const { answer } = await fieldsOf(request);
		const event = ANSWERS.find((e) => e === answer);
		if (!event || !(await locals.repos.quoteLife.happen(params.quote, event, new Date())))
			return fail(400, { trouble: 'Only a sent quote has an answer.', even: false });
		return { decided: event };
	}
};
