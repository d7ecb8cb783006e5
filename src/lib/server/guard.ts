import { error, type RequestEvent } from '@sveltejs/kit';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
/** Routes whose forms carry files. */
const FILES = new Set([
	'/bench/[design]/photos',
	'/settings/work',
	'/quotes/[quote]',
	'/jobs/calendar',
	'/jobs/[quote]/photos'
]);

/** A path of this app to go back to; anything that would lead elsewhere is the start. */
export function ownPath(asked: string, origin: string): string {
	if (!/^\/(?![\\/])[^\\\s\p{Cc}]*$/u.test(asked)) return '/';
	try {
		const url = new URL(asked, origin);
		return url.origin === origin ? url.pathname + url.search : '/';
	} catch {
		return '/';
	}
}

/**
 * What every request is held to before anything is done for it: nothing is changed for a page elsewhere, whatever it
 * sends or leaves out; an action has a plain name; a form is a form, and text where text belongs.
 * @throws an answer in words: 403, 404, 400 or 415
 */
export function guard({ request, url, route }: Pick<RequestEvent, 'request' | 'url' | 'route'>): void {
	if (SAFE.has(request.method)) return;
	const from = request.headers.get('origin');
	const site = request.headers.get('sec-fetch-site');
	const elsewhere = (from !== null && from !== url.origin) || site === 'cross-site' || site === 'same-site';
	if (elsewhere) error(403, { message: 'This was asked by a page elsewhere, so nothing was done.' });
	const action = /^\?\/([^&=]*)/.exec(url.search)?.[1];
	if (
		action !== undefined &&
		(!/^[a-z]\w*$/i.test(action) || action in Object.prototype || action === 'default')
	)
		error(404, { message: 'There is no such thing to do here.' });
	readForms(request, FILES.has(route.id ?? ''));
}

/** A form that cannot be read, or holds a file where text belongs, is answered as that wherever it is read. */
function readForms(request: Request, files: boolean): void {
	const read = request.formData.bind(request);
	const formData = async (): Promise<FormData> => {
		const type = request.headers.get('content-type') ?? '';
		if (!/^(application\/x-www-form-urlencoded|multipart\/form-data)\b/i.test(type))
			error(415, { message: 'That is not sent as a form.' });
		const form = await read().catch((cause: { status?: number }) =>
			cause.status === 413
				? error(413, { message: 'That is too large to be sent.' })
				: error(400, { message: 'What was sent cannot be read as a form.' })
		);
		// Names that every object has are no fields: what was typed is handed back by its fields' names.
		if ([...form.keys()].some((name) => name in Object.prototype))
			error(400, { message: 'What was sent cannot be read as a form.' });
		if (!files && [...form.values()].some((value) => typeof value !== 'string'))
			error(400, { message: 'A file was sent where text belongs.' });
		return form;
	};
	Object.defineProperty(request, 'formData', { value: formData, configurable: true });
}

/**
 * What a browser is told of every answer: to guess nothing, to let nobody frame it, to keep what is private to itself, and,
 * where it came by https, to ask for nothing else for a year (RFC 6797).
 */
export function harden(response: Response, isPublic: boolean, url: Pick<URL, 'protocol'>): void {
	const { headers } = response;
	const set = (name: string, value: string) => headers.has(name) || headers.set(name, value);
	headers.set('x-content-type-options', 'nosniff');
	if (url.protocol === 'https:') headers.set('strict-transport-security', 'max-age=31536000');
	headers.set('permissions-policy', 'camera=(), geolocation=(), payment=(), usb=(), microphone=(self)');
	// Not `no-referrer`: browsers then post forms with the origin “null”, and every form is refused.
	headers.set('referrer-policy', 'same-origin');
	// Pages have their own policy; a picture, a paper or an answer in JSON loads nothing at all.
	const type = headers.get('content-type') ?? '';
	set(
		'content-security-policy',
		type.startsWith('application/pdf')
			? "frame-ancestors 'none'"
			: "default-src 'none'; style-src 'unsafe-inline'; img-src data:; frame-ancestors 'none'"
	);
	if (!isPublic) set('cache-control', 'private, no-store');
}
