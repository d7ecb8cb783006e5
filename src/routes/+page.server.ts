import { redirect } from '@sveltejs/kit';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** A studio that was never asked anything is welcomed first. */
export const load: PageServerLoad = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	redirect(307, settings.welcomed ? '/shelf' : '/welcome');
};
