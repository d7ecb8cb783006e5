import { fail, redirect } from '@sveltejs/kit';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { ownPath } from '$lib/server/guard.ts';
import type { Actions, PageServerLoad } from './$types';

/** The second step of a sign-in. */
export const load: PageServerLoad = ({ locals, url }) => {
	const to = ownPath(url.searchParams.get('to') ?? '/', url.origin);
	if (locals.person) redirect(303, to);
	return { to };
};

export const actions: Actions = {
	default: async (event) => {
		const { code = '', to = '/' } = await fieldsOf(event.request);
		if (code.trim() === '')
			return fail(400, { say: 'Give the six figures your device shows, or a spare code.' });
		const done = await event.locals.door.code(event, code);
		if (!done.ok) return fail(400, { say: done.say });
		redirect(303, ownPath(to, event.url.origin));
	}
};
