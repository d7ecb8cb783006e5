import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const lists = await locals.work('job lists', { id: params.quote });
	if (!lists)
		error(404, {
			message: 'There is no such job.',
			hint: 'A job is a quote with a yes: find them under Jobs.'
		});
	return lists;
};
