import { error } from '@sveltejs/kit';
import type { Repos } from './repos/index.ts';

/** A photo by its id: it never changes, so it is kept for good. Nothing in it can run. */
export async function photoAnswer(
	repos: Repos,
	id: string,
	sent?: 'shown in a sent quote'
): Promise<Response> {
	return answer(await repos.photos.bytes(id, sent));
}

/** The photo of a client's place by its id. */
export const placePhotoAnswer = async (repos: Repos, id: string): Promise<Response> =>
	answer(await repos.placePhotos.find(id));

/** A photo of a job as it stood. @param shown only where its client sees it */
export const jobPhotoAnswer = async (repos: Repos, quoteId: string, id: string, shown = false): Promise<Response> =>
	answer(await repos.jobPhotos.find(quoteId, id, shown)); // prettier-ignore

function answer(found: { readonly type: string; readonly bytes: Uint8Array } | undefined): Response {
	if (!found) error(404, { message: 'There is no such photo.' });
	return new Response(new Uint8Array(found.bytes), {
		headers: {
			'content-type': found.type,
			'content-disposition': 'inline',
			'content-security-policy': "default-src 'none'",
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
}
