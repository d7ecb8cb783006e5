import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The Bench without a design opens the one changed last; where there is none, one is begun. */
export const load: PageServerLoad = async ({ locals }) => {
	const latest = await locals.repos.designs.latest();
	redirect(307, latest ? `/bench/${latest}` : '/new');
};
