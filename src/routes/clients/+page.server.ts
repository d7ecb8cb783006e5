import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const search = (url.searchParams.get('search') ?? '').slice(0, 80).trim();
	const { settings } = await loadStudio(locals.repos);
	return { rows: await locals.repos.clients.rows(search), search, currency: settings.rates.currency };
};
