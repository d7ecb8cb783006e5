import { error, fail, redirect } from '@sveltejs/kit';
import { CLIENT_DETAILS } from '$lib/core/quote/client.ts';
import { CLIENT_LABELS, printClient, readClient } from '$lib/core/quote/client-form.ts';
import { mergeFields, startedFrom } from '$lib/core/forms/merge-fields.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const client = await locals.repos.clients.find(params.client);
	if (!client) error(404, { message: 'There is no such client.', hint: 'Find them under Clients.' });
	const [all, quotes, { settings }] = await Promise.all([
		locals.repos.clients.list(),
		locals.repos.clients.quotesOf(params.client),
		loadStudio(locals.repos)
	]);
	const asked = url.searchParams.get('merge');
	const other = asked && asked !== client.id ? await locals.repos.clients.find(asked) : undefined;
	return {
		client: { id: client.id, name: client.name },
		values: printClient(client),
		fields: CLIENT_DETAILS.map((name) => ({ name, label: CLIENT_LABELS[name] })),
		quotes,
		others: all.filter((c) => c.id !== client.id).map(({ id, name, email }) => ({ id, name, email })),
		merge: other && {
			id: other.id,
			name: other.name,
			quotes: (await locals.repos.clients.quotesOf(other.id)).length,
			values: printClient(other)
		},
		currency: settings.rates.currency
	};
};

export const actions: Actions = {
	save: async ({ request, locals, params }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const now = await locals.repos.clients.find(params.client);
		if (!now) error(404, { message: 'There is no such client.' });
		const before = printClient(now);
		const meanwhile = mergeFields(typed, startedFrom(typed.started), before);
		if (Object.keys(meanwhile.errors).length > 0)
			return fail(409, { typed: meanwhile.mine, errors: meanwhile.errors, started: before });
		const context = { style: { decimal: settings.decimal }, currency: settings.rates.currency };
		const read = readClient(meanwhile.mine, context);
		if (!read.ok) return fail(400, { typed, errors: read.errors as Record<string, string> });
		const done = await locals.repos.clients.change(params.client, read.client);
		return done
			? { saved: true }
			: fail(409, {
					typed,
					errors: { name: 'Another client has that name. Merge the two below, or call this one otherwise.' } as Record<string, string> // prettier-ignore
				});
	},
	merge: async ({ request, locals, params }) => {
		const { into = '' } = await fieldsOf(request);
		if (!(await locals.repos.clients.merge(params.client, into)))
			return fail(400, { trouble: 'Choose another client to make one with.' });
		redirect(303, `/clients/${into}`);
	},
	forget: async ({ request, locals, params }) => {
		const { sure } = await fieldsOf(request);
		if (sure !== 'yes')
			return fail(400, { trouble: 'Tick the box first: what is forgotten cannot be brought back.' });
		const called = `a former client (${params.client.slice(0, 6)})`;
		if (!(await locals.repos.clients.forget(params.client, called)))
			error(404, { message: 'There is no such client.' });
		redirect(303, '/clients');
	}
};
