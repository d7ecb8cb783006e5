import { error, json, redirect, type RequestEvent } from '@sveltejs/kit';
import { ownPath } from './guard.ts';

const WORDS =
	'You are signed out here. Sign in in another tab, then try again: what you typed stays where it is.';
/** A form's answer `{ signedOut: true }`, as pages read it. */
const SIGNED_OUT = '[{"signedOut":1},true]';

/** Where somebody signs in, and where they go on afterwards. */
export function signInPath(to: string): string {
	return to === '/' ? '/sign-in' : `/sign-in?${new URLSearchParams({ to }).toString()}`;
}

/** Whether a browser opens a page, or fetches its data to show it; what a script asks for besides does not lead elsewhere. */
const isPage = (request: Request): boolean =>
	/\btext\/html\b/.test(request.headers.get('accept') ?? '') ||
	/\/__data\.json$/.test(new URL(request.url).pathname);

/**
 * Refuses what somebody's role is not enough for: a page that is opened says so in words, anything else is a 403.
 * @throws redirect 303, or 403
 */
export function notYours(request: Request): never {
	if (request.method === 'GET' && isPage(request)) redirect(303, '/not-yours');
	error(403, { message: 'This is not for your role.' });
}

/**
 * What somebody is answered who is not signed in. A form that a page sends by itself is told so and keeps what was typed; a
 * page is left for the sign-in, which leads back to it.
 * @param unclaimed the studio still waits for its owner
 * @throws redirect 303 to where they sign in, or begin
 */
export function signedOut(
	{ request, url }: Pick<RequestEvent, 'request' | 'url'>,
	unclaimed: boolean
): Response {
	const isForm = request.headers.get('x-sveltekit-action') === 'true';
	if (isForm) return json({ type: 'failure', status: 401, data: SIGNED_OUT });
	const isRead = request.method === 'GET' || request.method === 'HEAD';
	if (!isPage(request)) return json({ message: WORDS }, { status: 401 });
	if (unclaimed) redirect(303, '/begin');
	const from = isRead ? url.pathname + url.search : pathOfReferrer(request, url);
	redirect(303, signInPath(ownPath(from, url.origin)));
}

function pathOfReferrer(request: Request, url: URL): string {
	try {
		const from = new URL(request.headers.get('referer') ?? '/', url);
		return from.origin === url.origin ? from.pathname + from.search : '/';
	} catch {
		return '/';
	}
}
