import { error, fail, redirect } from '@sveltejs/kit';
import { hiresOf } from '$lib/core/owned/owned.ts';
import { chargedOf } from '$lib/core/study/charged.ts';
import type { EventSaid } from '$lib/core/quote/frozen.ts';
import { may } from '$lib/server/actor.ts';
import { takenPhoto } from '$lib/server/threads/taken-photo.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { changesOf } from '$lib/server/pages/changes-page.ts';
import { quoteLifePage } from '$lib/server/pages/quote-life-page.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { deskFor } from '$lib/server/services/desk.ts';
import { confirmOrder, creditInvoice, invoiceOrder, settlePayment } from '$lib/server/services/orders.ts';
import { post } from '$lib/server/services/quote-post.ts';
import { copyQuote, orderBook, recipePage } from '$lib/server/services/quoting.ts';
import { sendAndPost, WHY_NOT_SENT } from '$lib/server/services/sending.ts';
import { shownSettings } from '$lib/server/services/shown-settings.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const quote = await locals.repos.quotes.find(params.quote);
	if (!quote) error(404, { message: 'There is no such quote.', hint: 'Find it under Quotes.' });
	const [studio, offered, clients, owned] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.quotes.offered(),
		locals.repos.clients.list(),
		locals.repos.things.owned()
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
		exempt: await locals.repos.clients.exempt(),
		hires: hiresOf(owned),
		...book,
		settings: shownSettings(locals.actor, settings, quote.terms.job?.crew),
		materials,
		colours,
		changes: await changesOf(locals.repos, { about: 'quote', aboutId: quote.id }, settings),
		zones: Intl.supportedValuesOf('timeZone'),
		link: quote.issued && `${url.origin}/q/${quote.issued.token}`,
		life: await quoteLifePage(locals.repos, quote, { origin: url.origin, now: new Date() }),
		// Said when it is worked out: the page is there before.
		today: quote.state === 'draft' ? null : locals.work('quote today', { id: quote.id }).catch(() => null),
		twice: locals.work('wanted twice', { id: quote.id }).catch((): string[] => []),
		lessons: may(locals.actor, 'books')
			? locals.work('lessons for', { id: quote.id }).catch((): string[] => [])
			: [],
		fresh: crypto.randomUUID()
	};
};

const ANSWERS = ['accepted', 'declined', 'answer taken back', 'cancelled'] as const;
type Asked = { locals: App.Locals; params: { quote: string }; url: URL };

/** The quote as it was issued last, and the desk its papers and messages are written at. */
async function issued({ locals, params, url }: Asked) {
	const quote = await locals.repos.quotes.find(params.quote);
	return quote?.issued && { ...quote.issued, desk: deskFor(url, quote.issued.token, locals.work) };
}
/** Whether a message of a form was written already: pressed twice it is one. */
const isWritten = async ({ locals, params }: Asked, id: string): Promise<boolean> =>
	(await locals.repos.papers.messages(params.quote)).some((m) => m.id === id);
const trouble = (status: number, say: string) => fail(status, { trouble: say, even: false });
const NOT_PUT_AWAY = {
	missing: 'There is no such quote any more.',
	open: 'The client still has it. Note their answer, or cancel it, and then put it away.',
	ahead: 'It is a yes, and its day is still to come. It can be put away when that is over.'
};
const NOT_SENT = 'Only a sent quote has that.';

export const actions: Actions = {
	send: async ({ request, locals, params, url }) => {
		const { even } = await fieldsOf(request);
		const wanted = { id: params.quote, evenUnknown: even === 'yes' };
		const outcome = await sendAndPost(locals.repos, wanted, locals.work, url);
		if (outcome !== 'sent')
			return fail(400, { trouble: WHY_NOT_SENT[outcome], even: outcome === 'unknown cost' });
		return { sent: true };
	},
	decide: async (event) => {
		const { request, locals, params } = event;
		const { answer, reason = '' } = await fieldsOf(request);
		const what = ANSWERS.find((e) => e === answer);
		const text = reason.trim().slice(0, 1000);
		const said: EventSaid | null = text ? { text } : null;
		if (!what || !(await locals.repos.quoteLife.happen(params.quote, what, new Date(), said)))
			return trouble(400, 'Only a sent quote has an answer.');
		const now = what === 'accepted' ? await issued(event) : null;
		if (now) await confirmOrder(locals.repos, params.quote, now.desk);
		return { decided: what };
	},
	/** The client's link opens nothing from now on. */
	endLink: async ({ locals, params }) => {
		const quote = await locals.repos.quotes.find(params.quote);
		if (!quote?.issued) return trouble(409, NOT_SENT);
		await locals.repos.links.end(quote.issued.token, new Date());
		return { linkEnded: true };
	},
	revise: async ({ locals, params }) =>
		(await locals.repos.quoteLife.happen(params.quote, 'revised', new Date()))
			? { revising: true }
			: trouble(409, NOT_SENT),
	drop: async ({ locals, params }) =>
		(await locals.repos.quoteLife.happen(params.quote, 'revision dropped', new Date()))
			? { dropped: true }
			: trouble(409, NOT_SENT),
	remind: async (event) => {
		const { request, locals, params } = event;
		const id = sentId(await fieldsOf(request));
		if (await isWritten(event, id)) return { reminded: true };
		const now = await issued(event);
		if (!now || !(await locals.repos.quoteLife.happen(params.quote, 'reminded', now.desk.now)))
			return trouble(409, NOT_SENT);
		await post(
			locals.repos,
			{ id, quoteId: params.quote, now: now.desk.now },
			{ kind: 'reminder', frozen: now.frozen, link: now.desk.link }
		);
		return { reminded: true };
	},
	answer: async (event) => {
		const { request, locals, params } = event;
		const typed = await fieldsOf(request);
		const text = (typed.text ?? '').trim();
		const id = sentId(typed);
		if (await isWritten(event, id)) return { answered: true };
		if (text === '' || text.length > 2000)
			return fail(400, {
				answer: typed.text ?? '',
				say: text === '' ? 'Type your answer first.' : 'Answer in up to 2,000 letters.'
			});
		const now = await issued(event);
		if (!now || !(await locals.repos.quoteLife.happen(params.quote, 'answered', now.desk.now, { text })))
			return trouble(409, NOT_SENT);
		await post(
			locals.repos,
			{ id, quoteId: params.quote, now: now.desk.now },
			{ kind: 'answer', frozen: now.frozen, link: now.desk.link, text }
		);
		return { answered: true };
	},
	copy: async ({ request, locals, params }) => {
		const typed = await fieldsOf(request);
		const id = await copyQuote(locals.repos, params.quote, { id: sentId(typed) }, new Date());
		if (!id) error(404, { message: 'There is no such quote.' });
		redirect(303, `/quotes/${id}`);
	},
	invoice: async (event) => {
		const now = await issued(event);
		const made = now && (await invoiceOrder(event.locals.repos, event.params.quote, now.desk));
		return made ? { invoiced: true } : trouble(409, 'An invoice is written once there is a yes.');
	},
	credit: async (event) => {
		const { paper = '' } = await fieldsOf(event.request);
		const now = await issued(event);
		const own = await event.locals.repos.papers.find(paper);
		if (!now || own?.quoteId !== event.params.quote) return trouble(404, 'There is no such invoice.');
		return (await creditInvoice(event.locals.repos, paper, now.desk))
			? { credited: true }
			: trouble(409, 'Only an invoice can be taken back.');
	},
	place: async ({ request, locals, params }) => {
		const no = (placeTrouble: string) => fail(400, { placeTrouble });
		const photo = await takenPhoto((await request.formData()).get('file'), locals.work);
		if (typeof photo === 'string') return no(photo);
		if (!(await locals.repos.quotes.find(params.quote))) return no('There is no such quote.');
		const id = crypto.randomUUID();
		const { width, height } = photo;
		await locals.repos.placePhotos.add(params.quote, { ...photo, id }, new Date());
		return { placed: { id, width, height } };
	},
	away: async ({ locals, params }) => {
		const { settings } = await loadStudio(locals.repos);
		const outcome = await locals.repos.putAway.quote(params.quote, new Date(), dayIn(settings.zone));
		return outcome === 'done' ? { putAway: true } : trouble(409, NOT_PUT_AWAY[outcome]);
	},
	out: async ({ locals, params }) =>
		(await locals.repos.putAway.quote(params.quote, null, '')) === 'done'
			? { takenOut: true }
			: trouble(404, NOT_PUT_AWAY.missing),
	remove: async ({ request, locals, params }) => {
		const { sure } = await fieldsOf(request);
		if (sure !== 'yes')
			return trouble(400, 'What is deleted cannot be brought back: press “Delete for good” once more.');
		const outcome = await locals.repos.putAway.deleteQuote(params.quote);
		if (outcome === 'sent')
			return trouble(409, 'It was sent once, so it is never deleted. Put it away instead.');
		redirect(303, '/quotes');
	},
	settle: async (event) => {
		const { payment = '', state } = await fieldsOf(event.request);
		const now = await issued(event);
		const own = await event.locals.repos.payments.of(event.params.quote);
		if (!now || !own.some((p) => p.id === payment)) return trouble(404, 'There is no such payment.');
		const answer = state === 'failed' ? 'failed' : 'paid';
		return (await settlePayment(event.locals.repos, event.params.quote, payment, answer, now.desk))
			? { settled: true }
			: trouble(409, 'The bank has answered that one already.');
	}
};
