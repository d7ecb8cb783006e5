import { RECIPE_SCHEMA_PATH } from '$lib/server/published.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const rows = (await locals.repos.designs.shelf()).filter((row) => !row.isAway);
	const designs = rows.map(({ id, name }) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
	return { designs, schema: RECIPE_SCHEMA_PATH };
};
