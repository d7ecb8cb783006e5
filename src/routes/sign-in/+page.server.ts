import { fail, redirect } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { NO_EMAIL, readEmail } from '$lib/core/people/read-person.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { ownPath } from '$lib/server/guard.ts';
import { demoSignIns } from '$lib/server/demo-sign-ins.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const to = ownPath(url.searchParams.get('to') ?? '/', url.origin);
	if (locals.person) redirect(303, to);
	if (await locals.door.isUnclaimed()) redirect(303, '/begin');
	const { demo } = await locals.repos.workspaces.look();
	return { to, changed: url.searchParams.has('changed'), demo: demo ? demoSignIns(env) : [] };
};

export const actions: Actions = {
	default: async (event) => {
		const { email: said = '', password = '', to = '/' } = await fieldsOf(event.request);
		const email = readEmail(said);
		const typed = { email: said };
		if (email === undefined)
			return fail(400, { typed, errors: { email: NO_EMAIL } as Record<string, string> });
		if (password === '')
			return fail(400, { typed, errors: { password: 'Give your password.' } as Record<string, string> });
		const done = await event.locals.door.enter(event, email, password);
		if (!done.ok) return fail(400, { typed, errors: { password: done.say } as Record<string, string> });
		const on = ownPath(to, event.url.origin);
		redirect(303, 'code' in done ? `/sign-in/code?${new URLSearchParams({ to: on }).toString()}` : on);
	}
};
