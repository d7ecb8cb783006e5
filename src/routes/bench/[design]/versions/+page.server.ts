import { error, fail, redirect } from '@sveltejs/kit';
import { restoreVersion, WORKING } from '$lib/server/services/versions.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

const HOW = {
	button: '',
	leaving: 'automatic, on leaving',
	'going back': 'automatic, before going back',
	'count back': 'as it was counted after the build'
} as const;

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const [versions, studio] = await Promise.all([
		locals.repos.designs.versions(design.id),
		loadStudio(locals.repos)
	]);
	const known = (name: string, fallback: string | undefined) => {
		const said = url.searchParams.get(name);
		return said === WORKING || versions.some((v) => v.id === said) ? said! : (fallback ?? WORKING);
	};
	const second = known('second', design.ahead || versions.length < 2 ? WORKING : versions[0]?.id);
	const first = known('first', versions.find((v) => v.id !== second)?.id);
	const day = new Intl.DateTimeFormat('en-US', {
		dateStyle: 'medium',
		timeStyle: 'short',
		timeZone: studio.settings.zone
	});
	return {
		id: design.id,
		name: design.recipe.name,
		ahead: design.ahead,
		revision: design.revision,
		credit: design.recipe.credit,
		versions: versions.map((v) => ({
			id: v.id,
			number: v.number,
			name: v.name ?? '',
			how: HOW[v.how],
			kept: day.format(v.keptAt)
		})),
		first,
		second,
		comparison:
			versions.length === 0
				? undefined
				: await locals.work('two versions', { design: design.id, first, second }),
		fresh: crypto.randomUUID()
	};
};

export const actions: Actions = {
	name: async ({ request, locals }) => {
		const form = await request.formData();
		const version = String(form.get('version') ?? '');
		const name = String(form.get('name') ?? '').trim();
		if (name.length > 80) return fail(400, { trouble: 'A name has at most 80 letters. Shorten it.' });
		if (!(await locals.repos.designs.nameVersion(version, name)))
			return fail(404, { trouble: 'That version is not there. Reload the page.' });
		return { named: version };
	},
	restore: async ({ request, locals, params }) => {
		const form = await request.formData();
		const said = String(form.get('id') ?? '');
		const saveId = /^[\w-]{8,64}$/.test(said) ? said : crypto.randomUUID();
		const baseRevision = Number(form.get('revision'));
		const version = String(form.get('version') ?? '');
		const done = await restoreVersion(
			locals.repos,
			params.design,
			{ version, saveId, baseRevision },
			new Date()
		);
		if (!done)
			return fail(409, {
				trouble: 'This design was changed since you opened the page. Reload it and look again.'
			});
		redirect(303, `/bench/${params.design}`);
	}
};
