import { error, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { may, resolveActor } from '$lib/server/actor.ts';
import { open } from '$lib/server/app.ts';
import { PERMISSIONS } from '$lib/server/permissions.ts';
import { createRepos } from '$lib/server/repos/index.ts';

let app: Awaited<ReturnType<typeof open>>;

export const init: ServerInit = async () => {
	app = await open(env);
};

const THEMES = ['light', 'dark'] as const;

export const handle: Handle = async ({ event, resolve }) => {
	const said = event.cookies.get('theme');
	event.locals.theme = THEMES.find((t) => t === said) ?? 'auto';
	const permission = event.route.id === null ? 'public' : PERMISSIONS[event.route.id];
	if (!permission) error(403, { message: 'Nobody has said who may open this page.' });
	event.locals.actor = resolveActor(permission);
	if (!may(event.locals.actor, permission)) error(403, { message: 'This is not for your role.' });
	event.locals.repos = createRepos(app.db, event.locals.actor);
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('%theme%', event.locals.theme)
	});
	response.headers.set('x-content-type-options', 'nosniff');
	// Not `no-referrer`: browsers then post forms with the origin “null”, and every form is refused.
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error: cause, status, message }) => {
	if (status >= 500) console.error(cause);
	const hint =
		status === 404
			? 'Check the address, or start from the Shelf.'
			: 'Nothing was lost. Go back and try again.';
	return { message: status === 404 ? 'There is no such page.' : message, hint };
};
