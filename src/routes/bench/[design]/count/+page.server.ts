import { fail } from '@sveltejs/kit';
import { readCount } from '$lib/core/count-back/read-count.ts';
import type { Errors } from '$lib/core/forms/read-form.ts';
import { mixed, rational } from '$lib/core/units/rational.ts';
import { dayWords } from '$lib/core/quote/day-words.ts';
import { designWork } from '$lib/server/design-work.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { linesOf } from '$lib/server/pages/count-page.ts';
import { countedWith } from '$lib/server/services/counted-twice.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { loadDesign, queryOf } from '$lib/server/services/design-query.ts';
import { keepCount, makeCounted, type Counted } from '$lib/server/services/count-back.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { zone, ...page } = await designWork(event, 'count page');
	const { repos } = event.locals;
	const { settings } = await loadStudio(repos);
	const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone });
	return {
		...page,
		withJobs: (await countedWith(repos, page.id, dayIn(zone))).map((job) => ({
			...job,
			day: dayWords(job.day, settings)
		})),
		counts: (await repos.countBacks.list(page.id)).map((c) => ({
			id: c.id,
			when: day.format(c.countedAt),
			quantity: c.quantity,
			note: c.note,
			madeVersion: c.madeVersion,
			lines: c.lines
				.filter((l) => l.recipe !== l.took || l.lost > 0)
				.map((l) => ({ ...l, recipe: mixed(rational(l.recipe)), took: mixed(rational(l.took)) }))
		})),
		fresh: crypto.randomUUID()
	};
};

export const actions: Actions = {
	default: async ({ request, locals, params, url }) => {
		const wanted = await loadDesign(locals.repos, queryOf(params, url));
		const typed = await fieldsOf(request);
		const { settings } = wanted.studio;
		const read = readCount(
			linesOf(wanted).lines.map((l) => l.key),
			typed,
			{ style: { decimal: settings.decimal }, currency: settings.rates.currency }
		);
		if (!read.ok) return fail(400, { trouble: read.errors, typed, refused: '' });
		const back: Counted = { id: sentId(typed), took: read.took, note: read.note };
		await keepCount(locals.repos, wanted, back, new Date());
		if (typed.then !== 'make') return { kept: true, left: [] as readonly string[], version: null };
		const made = await makeCounted(locals.repos, wanted, back, new Date());
		if ('refused' in made) return fail(409, { trouble: {} as Errors, typed, refused: made.refused });
		return { kept: true, left: made.left, version: made.version };
	}
};
