import { loadStudio } from '$lib/server/services/studio.ts';
import { recipePage } from '$lib/server/services/quoting.ts';
import type { PageServerLoad } from './$types';

/** Kept designs by name, and the first with its recipe: the price is worked out on the phone as she chooses. */
export const load: PageServerLoad = async ({ locals }) => {
	const [studio, offered] = await Promise.all([loadStudio(locals.repos), locals.repos.quotes.offered()]);
	const { settings, materials, colours } = studio;
	return {
		designs: offered.map(({ versionId, name }) => ({ id: versionId, name })),
		...(await recipePage(
			locals.repos,
			offered.slice(0, 1).map((o) => o.versionId)
		)),
		settings,
		materials,
		colours
	};
};
