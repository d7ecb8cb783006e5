import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
	theme: locals.theme,
	demo: await locals.repos.workspaces.isDemo()
});
