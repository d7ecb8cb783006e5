import { fail } from '@sveltejs/kit';
import { NO_EMAIL, readEmail } from '$lib/core/people/read-person.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import type { Actions } from './$types';

export const actions: Actions = {
	default: async (event) => {
		const { email: said = '' } = await fieldsOf(event.request);
		const email = readEmail(said);
		if (email === undefined) return fail(400, { email: said, say: NO_EMAIL });
		const done = await event.locals.door.askReset(event, email);
		return done.ok ? { asked: email } : fail(429, { email: said, say: done.say });
	}
};
