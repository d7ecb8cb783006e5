import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { fileName } from '$lib/server/file-name.ts';
import { askedFor } from '$lib/server/services/asked.ts';
import { stampOf } from '$lib/server/services/stamp.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ request, locals, params, url }) => {
	const stamp = await stampOf(locals.repos, params.design);
	const { name, csv } = await locals.work('bill', askedFor(params, url), stamp);
	return bytesAnswer(request, {
		body: csv,
		from: stamp + url.search,
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': `attachment; filename="${fileName(name, 'bill')}.csv"`
		}
	});
};
