import { loadStudio } from '$lib/server/services/studio.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const search = (url.searchParams.get('search') ?? '').slice(0, 80).trim();
	const page = Number(url.searchParams.get('page') ?? 1);
	const past = url.searchParams.get('past') === 'yes';
	const found = await locals.repos.jobs.page({ search, page: Number.isInteger(page) ? page : 1, past, today });
	const counted = await locals.repos.jobCounts.counted(past ? found.rows.map((r) => r.id) : []);
	// Weeks begin as they do where days are written so.
	const firstDay: 0 | 1 = settings.dates === 'month first' ? 0 : 1;
	return {
		...found,
		rows: found.rows.map(({ id, number, client, occasion, venue, day, said, isRevised }) => ({ id, number, client, occasion, venue, day, isSaid: said !== null, isRevised, isCounted: counted.has(id) })),
		search,
		past,
		today,
		firstDay
	};
}; // prettier-ignore
