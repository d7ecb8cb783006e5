import { error, json } from '@sveltejs/kit';
import { uploads } from '$lib/server/app.ts';
import type { RequestHandler } from './$types';

/** A piece of a file that is too large to be sent at once. Answers how much of it is here: the next piece begins there. */
export const POST: RequestHandler = async ({ request, locals, url }) => {
	const id = url.searchParams.get('id') ?? '';
	const from = Number(url.searchParams.get('from') ?? '');
	if (!/^[\w-]{8,64}$/.test(id) || !Number.isSafeInteger(from) || from < 0)
		error(400, { message: 'That is no piece of a file.' });
	if (request.headers.get('content-type') !== 'application/octet-stream')
		error(415, { message: 'That is no piece of a file.' });
	const piece = new Uint8Array(await request.arrayBuffer());
	const here = uploads().take(locals.actor, id, from, piece);
	return here === undefined
		? error(413, { message: 'That file is too large: at most 4 GB can be brought in.' })
		: json({ here });
};
