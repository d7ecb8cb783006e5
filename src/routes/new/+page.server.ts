import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { emptyRecipe } from '$lib/core/recipe/build.ts';
import { recipeSchema } from '$lib/core/recipe/recipe.schema.ts';
import { idFrom, newId } from '$lib/server/form-id.ts';
import { ownShapes } from '$lib/server/services/own-shapes.ts';
import { shownSettings } from '$lib/server/services/shown-settings.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings, materials, colours } = await loadStudio(locals.repos);
	return {
		...(await ownShapes(locals.repos)),
		settings: shownSettings(locals.actor, settings),
		materials,
		colours,
		shape: url.searchParams.get('shape') ?? '',
		fresh: newId()
	};
};

const recipeText = z
	.string()
	.transform((text, context) => {
		try {
			return JSON.parse(text) as unknown;
		} catch {
			context.addIssue({ code: 'custom', message: 'This is no recipe.' });
			return z.NEVER;
		}
	})
	.pipe(recipeSchema);

export const actions: Actions = {
	empty: async ({ request, locals }) => {
		const id = idFrom(await request.formData());
		await locals.repos.designs.create(id, emptyRecipe('New design', newId), new Date());
		redirect(303, `/bench/${id}`);
	},
	build: async ({ request, locals }) => {
		const form = await request.formData();
		const id = idFrom(form);
		const read = recipeText.safeParse(form.get('recipe'));
		if (!read.success)
			return fail(400, {
				say: `That cannot be kept: ${read.error.issues[0]!.message} Change a field, or reload the page.`
			});
		await locals.repos.designs.create(id, read.data, new Date());
		redirect(303, `/bench/${id}?started`);
	}
};
