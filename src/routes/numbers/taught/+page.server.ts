import { fail } from '@sveltejs/kit';
import { lessonsOf, paceTaken } from '$lib/core/job/taught.ts';
import type { Paces } from '$lib/core/labour/pace.ts';
import { settingsSchema } from '$lib/core/workspace/settings.schema.ts';
import { may } from '$lib/server/actor.ts';
import { firstIssue } from '$lib/server/answers.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { taughtPage } from '$lib/server/pages/taught-page.ts';
import { makeTaught } from '$lib/server/services/count-back.ts';
import { loadDesign } from '$lib/server/services/design-query.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { taughtCounts } from '$lib/server/services/taught-counts.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [page, counts] = await Promise.all([taughtPage(locals.repos), locals.work('taught counts', {})]);
	return { page, counts, mayTake: may(locals.actor, 'settings'), fresh: crypto.randomUUID() };
};

const keyOf = ({ work, of }: { readonly work: string; readonly of: string }) => `${work}/${of}`;

/** Puts other paces in the place of those in use. @returns a sentence where that cannot be */
async function changed(locals: App.Locals, change: (paces: Paces) => Paces): Promise<string | undefined> {
	const { settings } = await loadStudio(locals.repos);
	const { rates } = settings;
	const paces = change(rates.jobs.paces ?? []);
	const next = settingsSchema.safeParse({ ...settings, rates: { ...rates, jobs: { ...rates.jobs, paces } } });
	if (!next.success) return firstIssue(next.error);
	await locals.repos.workspaces.change(next.data);
	return undefined;
}

export const actions: Actions = {
	/** What jobs taught is reckoned with from now on. */
	take: async ({ request, locals }) => {
		const { key = '' } = await fieldsOf(request);
		const lesson = lessonsOf(await locals.repos.jobFigures.paces()).find((l) => keyOf(l) === key);
		if (!lesson) return fail(404, { trouble: 'No job tells of that any more. Reload the page.' });
		const { settings } = await loadStudio(locals.repos);
		const pace = paceTaken(lesson, dayIn(settings.zone));
		const trouble = await changed(locals, (paces) => [...paces.filter((p) => keyOf(p) !== key), pace]);
		return trouble ? fail(400, { trouble }) : { taken: key };
	},
	/** Back to what its standards say. */
	back: async ({ request, locals }) => {
		const { key = '' } = await fieldsOf(request);
		const trouble = await changed(locals, (paces) => paces.filter((p) => keyOf(p) !== key));
		return trouble ? fail(400, { trouble }) : { gone: key };
	},
	/** What jobs took of its balloons becomes a new version of a design. */
	counts: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { design = '' } = typed;
		const [taught] = await taughtCounts(locals.repos, { only: design });
		if (!taught) return fail(404, { trouble: 'No job tells of that version any more. Reload the page.' });
		const loaded = await loadDesign(locals.repos, { design, search: '' });
		const made = await makeTaught(
			locals.repos,
			loaded,
			{ id: sentId(typed), sizes: taught.sizes },
			new Date()
		);
		if ('refused' in made) return fail(409, { trouble: made.refused });
		return { made: { design, name: taught.name, version: made.version } };
	},
	/** A day that is no measure is left out, or taken back in. */
	out: async ({ request, locals }) => {
		const { job = '', out } = await fieldsOf(request);
		const done = await locals.repos.jobCounts.leaveOut(job, out === 'yes', new Date());
		return done ? { leftOut: job } : fail(404, { trouble: 'That job is not counted back any more.' });
	}
};
