import { loadStudio } from '$lib/server/services/studio.ts';
import { quoteRecipes } from '$lib/server/services/quoting.ts';
import type { PageServerLoad } from './$types';

/** Kept designs with their recipes: the price is worked out on the phone as she chooses. */
export const load: PageServerLoad = async ({ locals }) => {
	const [studio, offered] = await Promise.all([loadStudio(locals.repos), locals.repos.quotes.offered()]);
	const lines = offered.map(({ versionId }) => ({
		id: versionId,
		versionId,
		colourwayId: null,
		sizeId: null,
		way: null,
		quantity: 1
	}));
	const { items, library } = await quoteRecipes(locals.repos, lines);
	const { settings, materials, colours } = studio;
	return {
		designs: items.map((i) => ({ id: i.id, recipe: i.recipe })),
		library: [...library],
		settings,
		materials,
		colours
	};
};
