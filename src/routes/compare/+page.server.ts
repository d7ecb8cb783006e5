import { redirect } from '@sveltejs/kit';
import { clustersOf, recipeOf, type Choice } from '$lib/server/services/side-by-side.ts';
import type { Actions, PageServerLoad } from './$types';

const NAMES = { 3: 'threes', 4: 'quads', 5: 'fives', 6: 'six-packs' } as const;

export const load: PageServerLoad = async ({ locals, url }) => {
	const rows = (await locals.repos.designs.shelf()).filter((row) => !row.isAway);
	const designs = rows.map(({ id, name }) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
	const get = (name: string) => url.searchParams.get(name) ?? '';
	const known = (said: string, otherwise: string | undefined) =>
		designs.some((d) => d.id === said) ? said : (otherwise ?? '');
	const first: Choice = {
		design: known(get('first'), designs[0]?.id),
		version: get('firstVersion'),
		clusters: clustersOf(get('firstAs'))
	};
	const second: Choice = {
		design: known(get('second'), first.design),
		version: get('secondVersion'),
		clusters: clustersOf(get('secondAs'))
	};
	return {
		designs,
		clusters: Object.entries(NAMES).map(([count, name]) => ({ count, name })),
		both: await locals.work('side by side', { first, second }),
		fresh: crypto.randomUUID()
	};
};

export const actions: Actions = {
	/** The one on that side as a design of its own. */
	default: async ({ request, locals }) => {
		const form = await request.formData();
		const get = (name: string) => String(form.get(name) ?? '');
		const choice = { design: get('design'), version: get('version'), clusters: clustersOf(get('as')) };
		const found = await recipeOf(locals.repos, choice);
		if (!found) redirect(303, '/shelf');
		const id = /^[\w-]{8,64}$/.test(get('id')) ? get('id') : crypto.randomUUID();
		const word = choice.clusters === null ? 'copy' : `in ${NAMES[choice.clusters]}`;
		const name = `${found.recipe.name.slice(0, 66)}, ${word}`;
		await locals.repos.designs.create(id, { ...found.recipe, name }, new Date());
		redirect(303, `/bench/${id}`);
	}
};
