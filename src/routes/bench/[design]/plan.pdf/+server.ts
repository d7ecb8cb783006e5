import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { fileName } from '$lib/server/file-name.ts';
import { askedFor } from '$lib/server/services/asked.ts';
import { stampOf } from '$lib/server/services/stamp.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ request, locals, params, url }) => {
	const stamp = await stampOf(locals.repos, params.design);
	const { name, pdf } = await locals.work('plan paper', askedFor(params, url), stamp);
	return bytesAnswer(request, {
		body: pdf,
		from: stamp + url.search,
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName(name, 'design')}-plan.pdf"`
		}
	});
};
