import { redirect } from '@sveltejs/kit';
import { idFrom, newId } from '$lib/server/form-id.ts';
import { shelf, SHELF_SORTS } from '$lib/server/services/shelf.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const get = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 80);
	const sort = SHELF_SORTS.find((s) => s === get('sort')) ?? 'changed';
	const query = { search: get('search').trim(), tag: get('tag'), sort, page: Number(get('page')) || 1 };
	return { query, fresh: newId(), ...(await shelf(locals.repos, locals.work, query)) };
};

export const actions: Actions = {
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
