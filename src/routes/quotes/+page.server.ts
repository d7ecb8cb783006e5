import { parseDate, today } from '@internationalized/date';
import { chanceOf } from '$lib/core/quote/due.ts';
import { QUOTE_STATES } from '$lib/core/quote/states.ts';
import { yearOf } from '$lib/core/study/charged.ts';
import { fail, redirect } from '@sveltejs/kit';
import { loadStudio } from '$lib/server/services/studio.ts';
import { readForm } from '$lib/core/forms/read-form.ts';
import { words } from '$lib/core/forms/fields.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { beginQuote } from '$lib/server/services/quoting.ts';
import type { Actions, PageServerLoad } from './$types';

/** Quotes that ask for something are shown up to so many. */
const MOST_DUE = 6;

export const load: PageServerLoad = async ({ locals, url }) => {
	const [clients, offered, studio] = await Promise.all([
		locals.repos.clients.list(),
		locals.repos.quotes.offered(),
		loadStudio(locals.repos)
	]);
	const design = url.searchParams.get('with');
	const day = today(studio.settings.zone).toString();
	const search = (url.searchParams.get('search') ?? '').slice(0, 80).trim();
	const asked = Number(url.searchParams.get('page') ?? 1);
	const page = Number.isInteger(asked) ? asked : 1;
	const asks = url.searchParams;
	const state = QUOTE_STATES.find((s) => s === asks.get('state'));
	const month = /^\d{4}-\d{2}$/.test(asks.get('month') ?? '') ? asks.get('month')! : undefined;
	const away = asks.get('away') === 'yes';
	const { quoteList } = locals.repos;
	const now = new Date();
	const [found, due, months, answers] = await Promise.all([
		quoteList.page({ search, page, today: day, state, month, isAway: away }),
		quoteList.due(now, day),
		quoteList.months(day.slice(0, 7)),
		quoteList.answers()
	]);
	const drafts = found.rows.filter((r) => r.state === 'draft' && r.lineCount > 0).map((r) => r.id);
	const year = parseDate(day).subtract({ years: 1 }).toString();
	const last = (await locals.repos.orders.sent()).filter(
		(q) => q.day !== null && q.day > year && q.day <= day
	);
	return {
		year: yearOf(last),
		// Said when they are worked out: the page is there before.
		sums: sumsOf(drafts.length === 0 ? Promise.resolve({}) : locals.work('draft sums', { ids: drafts })),
		colourway: url.searchParams.get('colourway') ?? '',
		size: url.searchParams.get('size') ?? '',
		...found,
		away,
		state: state ?? '',
		month: month ?? '',
		states: QUOTE_STATES.filter((s) => s !== 'lapsed'),
		due: due.slice(0, MOST_DUE),
		moreDue: Math.max(0, due.length - MOST_DUE),
		months,
		chance: { known: chanceOf(answers.known), fresh: chanceOf(answers.fresh) },
		search,
		today: day,
		currency: studio.settings.rates.currency,
		clients: clients.map((c) => c.name),
		chosen: offered.find((o) => o.design === design) ?? null,
		fresh: crypto.randomUUID()
	};
};

/** A sum that cannot be worked out just now is a dash, and no fault of the page. */
const sumsOf = (sums: Promise<Record<string, number>>): Promise<Record<string, number>> =>
	sums.catch(() => ({}));

/** An id of the form; nothing where it is blank or none. One the version lacks is read as its first, or as it stands. */
const idIn = (said: string | undefined): string | null =>
	said !== undefined && /^[\w-]{1,64}$/.test(said) ? said : null;

const CLIENT = { client: words({ what: 'A name', most: 120, missing: 'Who is it for? Type a name.' }) };

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const read = readForm(CLIENT, typed, {
			style: { decimal: settings.decimal },
			currency: settings.rates.currency
		});
		if (!read.ok) return fail(400, { trouble: read.errors.client ?? '', client: typed.client ?? '' });
		const wanted = {
			id: sentId(typed),
			client: read.values.client,
			design: typed.with ?? '',
			colourwayId: idIn(typed.colourway),
			sizeId: idIn(typed.size)
		};
		redirect(303, `/quotes/${await beginQuote(locals.repos, wanted, new Date())}`);
	}
};
