import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
	theme: locals.theme,
	...(await locals.repos.workspaces.look())
});
