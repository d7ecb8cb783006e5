import { error, fail } from '@sveltejs/kit';
import { readCounted } from '$lib/core/job/read-counted.ts';
import { may } from '$lib/server/actor.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { countsOfJob, keepJobCount } from '$lib/server/services/job-count.ts';
import { workOfJob } from '$lib/server/services/job.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

const GONE = { message: 'There is no such job.', hint: 'A job is a quote with a yes: find them under Jobs.' };

export const load: PageServerLoad = async ({ locals, params }) => {
	const books = may(locals.actor, 'books');
	const page = await locals.work('job count page', { id: params.quote, books });
	if (!page) error(404, GONE);
	return { page, mayCount: may(locals.actor, 'tick') };
};

export const actions: Actions = {
	default: async ({ request, locals, params }) => {
		const typed = await fieldsOf(request);
		const studio = await loadStudio(locals.repos);
		const work = await workOfJob(locals.repos, params.quote, studio);
		if (!work) error(404, GONE);
		const { settings } = studio;
		const about = {
			counts: countsOfJob(work),
			people: settings.rates.people.map((p) => p.id),
			day: dayIn(settings.zone)
		};
		const context = { style: { decimal: settings.decimal }, currency: settings.rates.currency };
		const read = readCounted(typed, about, context);
		if (!read.ok) return fail(400, { typed, errors: read.errors, trouble: '' });
		const outcome = await keepJobCount(
			locals.repos,
			{ work, base: Number(typed.revision) },
			read.counted,
			new Date(),
			await locals.work('job figures', { id: params.quote, counted: read.counted })
		);
		if (outcome === 'stale')
			return fail(409, {
				typed,
				errors: {} as Record<string, string>,
				trouble:
					'This job was counted somewhere else meanwhile. What you typed is still here: press the button again to put it in the place of that count.'
			});
		return { kept: true };
	}
};
