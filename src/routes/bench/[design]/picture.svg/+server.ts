import { designAnswer } from '$lib/server/design-work.ts';
import { fileName } from '$lib/server/file-name.ts';
import type { RequestHandler } from './$types';

/** The picture of a working copy: `view` front, side or plan, or `turn` and `tilt` in degrees; `apart` by its sections. */
export const GET: RequestHandler = (event) =>
	designAnswer(event, 'picture', ({ name, svg }) => ({
		body: svg,
		headers: {
			'content-type': 'image/svg+xml',
			...(event.url.searchParams.has('download') && {
				'content-disposition': `attachment; filename="${fileName(name, 'design')}.svg"`
			})
		}
	}));
