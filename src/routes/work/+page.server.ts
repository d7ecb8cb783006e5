import type { PageServerLoad } from './$types';

/** What there is to build, for hands that build it: no price is read here. */
export const load: PageServerLoad = async ({ locals, url }) => {
	const search = (url.searchParams.get('search') ?? '').slice(0, 80).trim();
	const rows = (await locals.repos.designs.shelf()).filter((row) => !row.isAway);
	const wanted = search.toLowerCase();
	return {
		search,
		designs: rows
			.filter((d) => d.versionId !== null && d.name.toLowerCase().includes(wanted))
			.map(({ id, name, versionId }) => ({ id, name, versionId }))
	};
};
