import { error } from '@sveltejs/kit';
import { may } from '$lib/server/actor.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const page = await locals.work('tally page', { id: params.quote });
	if (!page)
		error(404, {
			message: 'There is no such job.',
			hint: 'A job is a quote with a yes: find them under Jobs.'
		});
	return { page, mayCount: may(locals.actor, 'tick') };
};
