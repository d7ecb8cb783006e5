import { fail, redirect } from '@sveltejs/kit';
import { recipeSchema } from '$lib/core/recipe/recipe.schema.ts';
import { firstIssue } from '$lib/server/answers.ts';
import type { Actions } from './$types';

export const load = () => ({ fresh: crypto.randomUUID() });

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await request.formData();
		const pasted = String(form.get('text') ?? '');
		const file = form.get('file');
		const text = file instanceof File && file.size > 0 ? await file.text() : pasted;
		const no = (trouble: string) => fail(400, { trouble, pasted });
		if (text.trim() === '') return no('Choose a recipe file, or paste what is in one.');
		let content: unknown;
		try {
			content = JSON.parse(text);
		} catch {
			return no(
				'This is not a recipe file: it cannot be read as JSON. A recipe file comes from “recipe file” on the Bench.'
			);
		}
		const format = (content as { format?: unknown } | null)?.format;
		if (format !== 'bright-tally/recipe')
			return no(
				'This file is not a recipe: it does not say it is one. A recipe file comes from “recipe file” on the Bench.'
			);
		const recipe = recipeSchema.safeParse(content);
		if (!recipe.success) return no(`This recipe has a mistake at ${firstIssue(recipe.error)}`);
		const said = String(form.get('id') ?? '');
		const id = /^[\w-]{8,64}$/.test(said) ? said : crypto.randomUUID();
		await locals.repos.designs.create(id, recipe.data, new Date());
		redirect(303, `/bench/${id}`);
	}
};
