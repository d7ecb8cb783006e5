import { redirect } from '@sveltejs/kit';
import { emptyRecipe } from '$lib/core/recipe/build.ts';
import { shelf, SHELF_SORTS } from '$lib/server/services/shelf.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const get = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 80);
	const sort = SHELF_SORTS.find((s) => s === get('sort')) ?? 'changed';
	const query = { search: get('search').trim(), tag: get('tag'), sort, page: Number(get('page')) || 1 };
	return { query, fresh: crypto.randomUUID(), ...(await shelf(locals.repos, locals.work, query)) };
};

const newId = () => crypto.randomUUID();
/** Ids come with the form, so that a button pressed twice makes one design. */
const idFrom = (form: FormData): string => {
	const said = String(form.get('id') ?? '');
	return /^[\w-]{8,64}$/.test(said) ? said : newId();
};

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const id = idFrom(await request.formData());
		await locals.repos.designs.create(id, emptyRecipe('New design', newId), new Date());
		redirect(303, `/bench/${id}`);
	},
	duplicate: async ({ request, locals }) => {
		const form = await request.formData();
		const id = idFrom(form);
		const of = String(form.get('of') ?? '');
		const source = (await locals.repos.designs.lastKept(of)) ?? (await locals.repos.designs.find(of));
		if (!source) redirect(303, '/shelf');
		const recipe = { ...source.recipe, name: `${source.recipe.name}, copy`.slice(0, 80) };
		await locals.repos.designs.create(id, recipe, new Date());
		redirect(303, `/bench/${id}`);
	}
};
