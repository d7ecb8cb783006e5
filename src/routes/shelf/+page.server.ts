import { fail, redirect } from '@sveltejs/kit';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { idFrom, newId } from '$lib/server/form-id.ts';
import { shelf, SHELF_SORTS } from '$lib/server/services/shelf.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const get = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 80);
	const sort = SHELF_SORTS.find((s) => s === get('sort')) ?? 'changed';
	const query = {
		search: get('search').trim(),
		tag: get('tag'),
		sort,
		page: Number(get('page')) || 1,
		away: get('away') === 'yes'
	};
	return { query, fresh: newId(), ...(await shelf(locals.repos, locals.work, query)) };
};

const GONE = { trouble: ['There is no such design any more: it was deleted meanwhile.'] };

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
	},
	/** Off the Shelf: what uses it has it as before. */
	away: async ({ request, locals }) => {
		const { of = '', name = '' } = await fieldsOf(request);
		if (!(await locals.repos.putAway.design(of, new Date()))) return fail(404, GONE);
		return { putAway: { id: of, name: name.slice(0, 80) } };
	},
	out: async ({ request, locals }) => {
		const { of = '', name = '' } = await fieldsOf(request);
		if (!(await locals.repos.putAway.design(of, null))) return fail(404, GONE);
		return { takenOut: { id: of, name: name.slice(0, 80) } };
	},
	/** For good, once nothing hangs on it. */
	remove: async ({ request, locals }) => {
		const { of = '', sure } = await fieldsOf(request);
		if (sure !== 'yes')
			return fail(400, {
				trouble: ['What is deleted cannot be brought back: press “Delete for good” once more.']
			});
		const outcome = await locals.repos.putAway.deleteDesign(of);
		if (outcome === 'deleted') return { deleted: true };
		if (outcome === 'missing') return fail(404, GONE);
		if (outcome === 'not put away')
			return fail(409, { trouble: ['Put it away first: only what is put away can be deleted.'] });
		return fail(409, { trouble: ['It stays put away, and is not deleted.', ...outcome.by] });
	}
};
