import { fail, redirect } from '@sveltejs/kit';
import { readPerson } from '$lib/core/people/read-person.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import type { Actions, PageServerLoad } from './$types';

/** The first to open a new studio becomes its owner. */
export const load: PageServerLoad = async ({ locals, url }) => {
	if (!(await locals.door.isUnclaimed())) redirect(303, locals.person ? '/' : '/sign-in');
	return { needsCode: locals.door.needsSetupCode, code: url.searchParams.get('code') ?? '' };
};

export const actions: Actions = {
	default: async (event) => {
		const { password = '', ...typed } = await fieldsOf(event.request);
		const { value, errors } = readPerson({ ...typed, password });
		if (!value) return fail(400, { typed, errors });
		const done = await event.locals.door.begin(event, value, typed['code'] ?? '');
		if (!done.ok) return fail(400, { typed, errors: { code: done.say } as Record<string, string> });
		redirect(303, '/');
	}
};
