import { error, type Handle, type HandleServerError, type RequestEvent, type ServerInit } from '@sveltejs/kit'; // prettier-ignore
import { dev } from '$app/environment';
import { env } from '$env/dynamic/private';
import { guestOf, HOME_WORKSPACE, may, OWNER, type Actor, type Permission } from '$lib/server/actor.ts';
import { noteTrouble, open } from '$lib/server/app.ts';
import { permissionFor } from '$lib/server/permissions.ts';
import { isBusy, isFull, type Database } from '$lib/server/db/client.ts';
import { plainCause } from '$lib/server/health/plain-cause.ts';
import { guard, harden } from '$lib/server/guard.ts';
import { notYours, signedOut } from '$lib/server/signed-out.ts';
import { isWarming } from '$lib/server/warming.ts';
import { createRepos } from '$lib/server/repos/index.ts';

let app: Awaited<ReturnType<typeof open>>;

export const init: ServerInit = async () => {
	app = await open(env, { threaded: !dev });
};

/** A write that another program or a full disk kept out is answered as that, and nothing of it was done. */
const answering = (db: Database): Database => ({
	...db,
	write: (work) =>
		db.write(work).catch((cause: unknown) => {
			if (isBusy(cause)) {
				noteTrouble('A save was refused: another program held the data too long.');
				error(503, {
					message: 'Another program holds the data just now. It was not saved: try again in a moment.'
				});
			}
			if (isFull(cause)) {
				noteTrouble('A save was refused: the disk is full.');
				error(503, { message: 'The disk is full, so it was not saved. Make room, then try again.' });
			}
			throw cause;
		})
});

let last: Promise<unknown> = Promise.resolve();
/**
 * One request begins in each turn of the event loop. The database answers at once, so requests that came together would
 * otherwise be worked out to their ends before anything else is heard: what a thread has made, or a request that came later.
 */
const turn = () => (last = last.then(() => new Promise(setImmediate)));

const THEMES = ['light', 'dark'] as const;

export const handle: Handle = async ({ event, resolve }) => {
	guard(event);
	await turn();
	const said = event.cookies.get('theme');
	event.locals.theme = THEMES.find((t) => t === said) ?? 'auto';
	const permission =
		event.route.id === null ? 'public' : permissionFor(event.route.id, event.request.method, event.url);
	if (!permission) error(403, { message: 'Nobody has said who may open this page.' });
	event.locals.door = app.door;
	event.locals.person = await app.door.who(event);
	const actor = await actorOf(event, permission);
	if (actor instanceof Response) return actor;
	event.locals.actor = actor;
	event.locals.repos = createRepos(answering(app.db), event.locals.actor);
	event.locals.work = app.threads.workFor(event.locals.actor);
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('%theme%', event.locals.theme)
	});
	harden(response, permission === 'public', event.url);
	return response;
};

/**
 * The one place where a request gets its actor: from its session, or from the client's link it comes by. What is public is
 * done as a guest, whoever asks.
 * @returns what to answer where nobody is signed in @throws what leads to the sign-in; 403 where the role is not enough
 */
async function actorOf(event: RequestEvent, permission: Permission): Promise<Actor | Response> {
	if (permission === 'public') {
		const { token } = event.params;
		if (!event.route.id?.startsWith('/q/') || token === undefined) return guestOf(HOME_WORKSPACE);
		const link = await app.door.clientLink(event, token);
		event.locals.link = link.state;
		return guestOf(link.workspace);
	}
	const asker = event.locals.person?.actor ?? (isWarming(event.request) ? OWNER : undefined);
	if (!asker) return signedOut(event, await app.door.isUnclaimed());
	if (!may(asker, permission)) notYours(event.request);
	return asker;
}

export const handleError: HandleServerError = ({ error: cause, status, message, event }) => {
	if (status >= 500) {
		console.error(plainCause(cause));
		noteTrouble(
			`${event.request.method === 'GET' ? 'A page' : 'Something'} failed: ${event.route.id ?? 'an address that is none'}`
		);
	}
	const hint =
		status === 404
			? 'Check the address, or start from the Shelf.'
			: 'We could not do that. Go back and see what is there before you try again.';
	return { message: status === 404 ? 'There is no such page.' : message, hint };
};
