import { createHash } from 'node:crypto';

/** A paper, picture or list as it was made. */
export interface Made {
	readonly body: string | Uint8Array;
	/** All it was made from: the same is the same answer. */
	readonly from: string;
	readonly headers: Readonly<Record<string, string>>;
}

/**
 * Answers with a mark of what it was made from: whoever has it already is told so, and is sent nothing. Kept by the one who
 * asked for it, and asked about each time.
 */
export function bytesAnswer(request: Request, { body, from, headers }: Made): Response {
	const mark = createHash('sha256').update(from).digest('base64url').slice(0, 22);
	// Weak: it is sent compressed or not.
	const own = { 'cache-control': 'private, no-cache', etag: `W/"${mark}"` };
	const has = request.headers.get('if-none-match')?.split(',').map((m) => m.trim()).includes(own.etag); // prettier-ignore
	return has
		? new Response(null, { status: 304, headers: own })
		: new Response(body as BodyInit, { headers: { ...own, ...headers } });
}
