import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** An e-mail of the outbox as a file that a mail program opens: as it would have arrived. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = (await locals.repos.papers.messages(params.quote)).find((m) => m.id === params.message);
	if (!found) error(404, { message: 'There is no such message.' });
	return new Response(found.mime, {
		headers: {
			'content-type': 'message/rfc822',
			'content-disposition': `attachment; filename="message.eml"`
		}
	});
};
