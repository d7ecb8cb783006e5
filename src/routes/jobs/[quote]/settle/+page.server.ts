import { error, fail } from '@sveltejs/kit';
import { readSettled } from '$lib/core/job/read-settled.ts';
import { may } from '$lib/server/actor.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { changeJob } from '$lib/server/services/change-job.ts';
import { settleLines } from '$lib/server/services/settling.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

const GONE = { message: 'There is no such job.', hint: 'A job is a quote with a yes: find them under Jobs.' };

export const load: PageServerLoad = async ({ locals, params }) => {
	const page = await locals.work('settle page', { id: params.quote, books: may(locals.actor, 'books') });
	if (!page) error(404, GONE);
	return { page, maySettle: may(locals.actor, 'quote') };
};

export const actions: Actions = {
	default: async ({ request, locals, params }) => {
		const typed = await fieldsOf(request);
		const studio = await loadStudio(locals.repos);
		const found = await settleLines(locals.repos, params.quote, studio);
		if (!found) error(404, GONE);
		const { settings } = studio;
		const context = { style: { decimal: settings.decimal }, currency: settings.rates.currency };
		const read = readSettled(typed, found.lines, new Set(studio.colours.map((c) => c.id)), context);
		if (!read.ok) return fail(400, { typed, errors: read.errors, trouble: '' });
		const base = Number(typed.revision);
		const outcome = await changeJob(locals.repos, { id: params.quote, base }, (said) => ({ ...said, settled: read.settled }), new Date()); // prettier-ignore
		if (typeof outcome === 'number') return { kept: true };
		if (outcome === 'missing') error(404, GONE);
		const trouble = outcome === 'stale' ? 'This job was changed somewhere else meanwhile. What you chose is still here: press the button again to say it on top.' : outcome; // prettier-ignore
		return fail(409, { typed, errors: {} as Record<string, string>, trouble });
	}
};
