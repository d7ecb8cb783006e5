import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { fileName } from '$lib/server/file-name.ts';
import { askedFor } from '$lib/server/services/asked.ts';
import { stampOf } from '$lib/server/services/stamp.ts';
import type { RequestHandler } from './$types';

/** The picture of a working copy: `view` front, side or plan, or `turn` and `tilt` in degrees; `apart` by its sections. */
export const GET: RequestHandler = async ({ request, locals, params, url }) => {
	const stamp = await stampOf(locals.repos, params.design);
	const { name, svg } = await locals.work('picture', askedFor(params, url), stamp);
	return bytesAnswer(request, {
		body: svg,
		from: stamp + url.search,
		headers: {
			'content-type': 'image/svg+xml',
			...(url.searchParams.has('download') && {
				'content-disposition': `attachment; filename="${fileName(name, 'design')}.svg"`
			})
		}
	});
};
