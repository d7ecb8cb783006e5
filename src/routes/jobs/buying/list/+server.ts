import { error } from '@sveltejs/kit';
import { fileName } from '$lib/server/file-name.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { untilOf } from '../../until.ts';
import type { RequestHandler } from './$types';

/** The list of one supplier as CSV or PDF. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const as = url.searchParams.get('as') === 'pdf' ? 'pdf' : 'csv';
	const wanted = {
		today,
		until: untilOf(url, today),
		supplier: url.searchParams.get('supplier') ?? '',
		as
	} as const;
	const made = await locals.work('buying list', wanted);
	if (!made)
		error(404, { message: 'Nothing is to be bought there.', hint: 'Look at the shopping under Jobs.' });
	const body = typeof made.body === 'string' ? made.body : new Uint8Array(made.body);
	return new Response(body, {
		headers: {
			'content-type': as === 'pdf' ? 'application/pdf' : 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${fileName(`${made.name} ${today}`, 'shopping')}.${as}"`
		}
	});
};
