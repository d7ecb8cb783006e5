import { fail, redirect } from '@sveltejs/kit';
import { passwordTrouble } from '$lib/core/people/read-person.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import type { Actions } from './$types';

export const actions: Actions = {
	default: async (event) => {
		const { password = '' } = await fieldsOf(event.request);
		const trouble = passwordTrouble(password);
		if (trouble) return fail(400, { say: trouble });
		const done = await event.locals.door.reset(event, event.params.token, password);
		if (!done.ok) return fail(400, { say: done.say });
		redirect(303, '/sign-in?changed');
	}
};
