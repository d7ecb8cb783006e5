import { fail, redirect } from '@sveltejs/kit';
import { CURRENCIES } from '$lib/core/money/money.ts';
import { firstStock } from '$lib/core/workspace/first-stock.ts';
import { settingsSchema } from '$lib/core/workspace/settings.schema.ts';
import { printWelcome, readWelcome } from '$lib/core/workspace/welcome.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { settings, materials } = await loadStudio(locals.repos);
	return { values: printWelcome(settings), currencies: CURRENCIES, stocked: materials.length > 0 };
};

export const actions: Actions = {
	begin: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const { next, errors } = readWelcome(typed, settings);
		if (!next) return fail(400, { typed, errors });
		const parsed = settingsSchema.safeParse(next);
		if (!parsed.success) return fail(400, { typed, errors: { name: parsed.error.issues[0]!.message } });
		await locals.repos.workspaces.change(parsed.data);
		if (typed['stock'] === 'yes') await locals.repos.stock.importMaterials(firstStock());
		redirect(303, '/new');
	},
	skip: async ({ locals }) => {
		const { settings } = await loadStudio(locals.repos);
		await locals.repos.workspaces.change({ ...settings, welcomed: true });
		redirect(303, '/new');
	}
};
