import { error, fail, redirect } from '@sveltejs/kit';
import { readPerson } from '$lib/core/people/read-person.ts';
import { addressOf } from '$lib/server/auth/address.ts';
import { LINK_GONE } from '$lib/server/auth/door.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import type { Actions, PageServerLoad } from './$types';

/** Whoever holds an invitation joins the studio with it, once. */
export const load: PageServerLoad = async (event) => {
	const { door } = event.locals;
	const invited = await door.invitation(event.params.token);
	if (!invited) {
		const wait = await door.throttle.take('link', addressOf(event));
		if (wait > 0) error(429, { message: 'That was tried too often. Try again in a few minutes.' });
		error(404, { message: LINK_GONE });
	}
	return { studio: invited.studio, name: invited.name, role: invited.role };
};

export const actions: Actions = {
	default: async (event) => {
		const { password = '', ...typed } = await fieldsOf(event.request);
		const { value, errors } = readPerson({ ...typed, password });
		if (!value) return fail(400, { typed, errors });
		const done = await event.locals.door.join(event, event.params.token, value);
		if (!done.ok) return fail(409, { typed, errors: { email: done.say } as Record<string, string> });
		redirect(303, '/');
	}
};
