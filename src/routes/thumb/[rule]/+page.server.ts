import { error } from '@sveltejs/kit';
import { RULES } from '$lib/core/calculators/calculators.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	if (!RULES.some((c) => c.id === params.rule))
		error(404, { message: 'There is no such rule of thumb.', hint: 'Choose one from the list.' });
	const { settings } = await loadStudio(locals.repos);
	return { rule: params.rule, decimal: settings.decimal, currency: settings.rates.currency };
};
