import { today } from '@internationalized/date';
import { fail, redirect } from '@sveltejs/kit';
import { loadStudio } from '$lib/server/services/studio.ts';
import { newTerms } from '$lib/server/services/quoting.ts';
import type { Actions, PageServerLoad } from './$types';

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
	const found = await locals.repos.quotes.list({ search, page, today: day });
	return {
		colourway: url.searchParams.get('colourway') ?? '',
		size: url.searchParams.get('size') ?? '',
		...found,
		search,
		today: day,
		currency: studio.settings.rates.currency,
		clients: clients.map((c) => c.name),
		chosen: offered.find((o) => o.design === design) ?? null,
		fresh: crypto.randomUUID()
	};
};

/** An id of the form; nothing where it is blank or none. One the version lacks is read as its first, or as it stands. */
function idIn(form: FormData, name: string): string | null {
	const said = String(form.get(name) ?? '');
	return /^[\w-]{1,64}$/.test(said) ? said : null;
}

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const form = await request.formData();
		const client = String(form.get('client') ?? '').trim();
		if (client === '') return fail(400, { trouble: 'Who is it for? Type a name.', client });
		if (client.length > 120)
			return fail(400, { trouble: 'That name is too long: 120 letters at most.', client });
		const said = String(form.get('id') ?? '');
		const id = /^[\w-]{8,64}$/.test(said) ? said : crypto.randomUUID();
		const design = String(form.get('with') ?? '');
		const colourwayId = idIn(form, 'colourway');
		const sizeId = idIn(form, 'size');
		const { settings } = await loadStudio(locals.repos);
		const line = (await locals.repos.quotes.offered()).find((o) => o.design === design);
		const clientId = await locals.repos.clients.named(client, crypto.randomUUID());
		const lines = line
			? [{ id: crypto.randomUUID(), versionId: line.versionId, colourwayId, sizeId, quantity: 1, way: null }]
			: [];
		await locals.repos.quotes.create(
			id,
			{ clientId, eventDate: null, zone: settings.zone, terms: newTerms(settings), lines },
			new Date()
		);
		redirect(303, `/quotes/${id}`);
	}
};
