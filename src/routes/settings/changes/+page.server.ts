import { CHANGED, PAGE } from '$lib/server/repos/changes.ts';
import { shownChanges } from '$lib/server/pages/changes-page.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const search = (url.searchParams.get('search') ?? '').slice(0, 80).trim();
	const about = CHANGED.find((a) => a === url.searchParams.get('about'));
	const page = Math.min(10_000, Math.max(1, Math.trunc(Number(url.searchParams.get('page'))) || 1));
	const { settings } = await loadStudio(locals.repos);
	const { rows, many } = await locals.repos.changes.list({ search, about, page });
	return {
		search,
		about: about ?? '',
		page,
		pages: Math.max(1, Math.ceil(many / PAGE)),
		many,
		changes: shownChanges(rows, settings)
	};
};
