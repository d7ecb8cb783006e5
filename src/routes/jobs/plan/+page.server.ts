import { count, number } from '$lib/core/forms/fields.ts';
import { readForm } from '$lib/core/forms/read-form.ts';
import { USUAL_SHOP } from '$lib/core/job/build-plan.ts';
import { planBlocks } from '$lib/core/job/plan-blocks.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { untilOf } from '../until.ts';
import type { PageServerLoad } from './$types';

const FORM = {
	hours: number({ what: 'Hours a day', min: 0.5, max: 16 }),
	benches: count({ what: 'Places at the bench', min: 1, max: 50 }),
	cylinders: count({ what: 'Cylinders', min: 1, max: 50 })
};
const USUAL = {
	hours: String(USUAL_SHOP.hours),
	benches: String(USUAL_SHOP.benches),
	cylinders: String(USUAL_SHOP.cylinders)
};

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const until = untilOf(url, today);
	const typed = Object.fromEntries(Object.entries(USUAL).map(([name, usual]) => [name, url.searchParams.get(name) ?? usual]));
	const read = readForm(FORM, typed, { style: { decimal: settings.decimal }, currency: settings.rates.currency });
	const known = new Set(settings.rates.people.map((p) => p.id));
	const ticked = url.searchParams.getAll('person').filter((p) => known.has(p));
	const nobody = known.size > 0 && url.searchParams.has('hours') && ticked.length === 0;
	const errors: Record<string, string> = { ...(read.ok ? {} : read.errors), ...(nobody ? { people: 'Nobody is ticked. Tick who builds.' } : {}) };
	const about = { until, today, typed, errors, ticked: nobody ? [] : ticked.length > 0 ? ticked : settings.rates.crew, everybody: settings.rates.people.map(({ id, name }) => ({ id, name })) };
	// What cannot be read is asked for again before anything is planned.
	if (!read.ok || nobody) return { ...about, found: null };
	const hours = read.values.hours.valueOf();
	const found = await locals.work('build plan', { today, until, hours, benches: read.values.benches, cylinders: read.values.cylinders, people: ticked });
	const shop = { from: found.from, hours, people: found.people };
	return { ...about, found: { ...found, days: planBlocks(found.plan.tasks, shop) } };
}; // prettier-ignore
