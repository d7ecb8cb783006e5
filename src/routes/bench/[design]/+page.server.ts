import { error } from '@sveltejs/kit';
import { usableIn, usersOf } from '$lib/server/services/nesting.ts';
import { shownSettings } from '$lib/server/services/shown-settings.ts';
import { loadLibrary, loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const [studio, kept, library, designs, users, numbers] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.designs.lastKept(design.id),
		loadLibrary(locals.repos, design.recipe),
		usableIn(locals.repos, design.id),
		usersOf(locals.repos, design.id),
		locals.repos.designs.keptNumbers()
	]);
	const named = await Promise.all(users.map((id) => locals.repos.designs.lastKept(id)));
	const { settings, materials, colours } = studio;
	return {
		id: design.id,
		recipe: design.recipe,
		revision: design.revision,
		keptNumber: design.keptNumber,
		isAway: design.isAway,
		kept: kept?.recipe ?? null,
		settings: shownSettings(locals.actor, settings),
		materials,
		colours,
		library: [...library],
		designs,
		partVersions: Object.fromEntries(numbers),
		usedIn: named.flatMap((k) => (k ? [{ id: k.design, name: k.recipe.name }] : []))
	};
};
