import { error, fail } from '@sveltejs/kit';
import { PRICE_METHODS } from '$lib/core/pricing/methods.ts';
import { chargedOf } from '$lib/core/study/charged.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { changeWorking } from '$lib/server/services/change-working.ts';
import { headOf, loadDesign, queryOf } from '$lib/server/services/design-query.ts';
import { shownSettings } from '$lib/server/services/shown-settings.ts';
import { loadLibrary, loadStudio } from '$lib/server/services/studio.ts';

import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const loaded = await loadDesign(locals.repos, queryOf(params, url));
	const { settings, materials, colours } = loaded.studio;
	const { recipe } = loaded.design;
	return {
		asked: headOf(loaded),
		charged: (await locals.repos.orders.sent()).flatMap((sent) => chargedOf(sent) ?? []),
		recipe,
		library: [...(await loadLibrary(locals.repos, recipe))],
		settings: shownSettings(locals.actor, settings),
		materials,
		colours
	};
};

export const actions: Actions = {
	/** Prices the design so from now on: the figure is the studio’s. */
	default: async ({ request, locals, params }) => {
		const typed = await fieldsOf(request);
		const method = PRICE_METHODS.find((m) => m === typed.method);
		if (!method) return fail(400, { trouble: 'Choose one of the ways above.' });
		const { settings } = await loadStudio(locals.repos);
		const pricing = { method, percent: settings.rates.price[method] };
		const saved = await changeWorking(
			locals.repos,
			params.design,
			{ saveId: sentId(typed), now: new Date() },
			(recipe) => Promise.resolve({ ...recipe, pricing })
		);
		if (!saved) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
		return { saved: true };
	}
};
