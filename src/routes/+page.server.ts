import { redirect } from '@sveltejs/kit';
import { may } from '$lib/server/actor.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** To where each begins. A studio that was never asked anything is welcomed first. */
export const load: PageServerLoad = async ({ locals }) => {
	const { actor } = locals;
	if (!may(actor, 'design')) redirect(307, may(actor, 'books') ? '/quotes' : '/work');
	const { settings } = await loadStudio(locals.repos);
	redirect(307, settings.welcomed || !may(actor, 'settings') ? '/shelf' : '/welcome');
};
