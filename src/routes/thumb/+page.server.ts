import { calibrate } from '$lib/core/sizing/strokes.ts';
import { RULES, sizingSheet } from '$lib/core/calculators/calculators.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

const SIZES = [3, 3.5, 4, 4.5, 5, 6, 7, 8, 8.5, 9, 9.5, 10, 10.5, 11, 12, 13];

export const load: PageServerLoad = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	return {
		rules: RULES.map(({ id, name, asks }) => ({ id, name, asks })),
		sizes: sizingSheet(null, SIZES).map((s) => s.size),
		pumps: settings.rates.pumps.map(({ id, name, pairs }) => ({
			id,
			name,
			strokes: sizingSheet(pairs.length > 0 ? calibrate(pairs).k : null, SIZES).map((s) => s.strokes)
		}))
	};
};
