import { error, fail, redirect } from '@sveltejs/kit';
import { dayField } from '$lib/core/forms/day-field.ts';
import { MOST_DAYS, type JobSaid } from '$lib/core/job/job.ts';
import { readDay, readPlace } from '$lib/core/job/read-days.ts';
import { nextYear, shifted } from '$lib/core/job/shift.ts';
import { may } from '$lib/server/actor.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { changeJob } from '$lib/server/services/change-job.ts';
import { copyQuote } from '$lib/server/services/quoting.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

const GONE = { message: 'There is no such job.', hint: 'A job is a quote with a yes: find them under Jobs.' };

export const load: PageServerLoad = async ({ locals, params }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const job = await locals.work('job page', { id: params.quote, today });
	if (!job) error(404, GONE);
	return { job, today, mayChange: may(locals.actor, 'quote'), fresh: crypto.randomUUID() };
};

type Typed = Record<string, string>;
interface Asked {
	readonly locals: App.Locals;
	readonly params: { readonly quote: string };
}

/** Changes what is said of the job over the revision its page was read at, and says what came of it. */
async function change({ locals, params }: Asked, typed: Typed, edit: (said: JobSaid) => JobSaid | string) {
	const base = Number(typed.revision);
	const outcome = await changeJob(locals.repos, { id: params.quote, base }, edit, new Date());
	if (outcome === 'missing') error(404, GONE);
	if (outcome === 'stale')
		return fail(409, { typed, trouble: 'This job was changed somewhere else meanwhile. It is shown as it is now; what you typed is still here: press the button again to say it on top.' }); // prettier-ignore
	if (typeof outcome === 'string') return fail(400, { typed, trouble: outcome });
	return { saved: true };
}

const contextOf = ({ settings }: Awaited<ReturnType<typeof loadStudio>>) => ({
	style: { decimal: settings.decimal },
	currency: settings.rates.currency
});

export const actions: Actions = {
	/** Adds a day, or says one anew. */
	day: async (event) => {
		const typed: Typed = await fieldsOf(event.request);
		const studio = await loadStudio(event.locals.repos);
		const about = {
			people: studio.settings.rates.people.map((p) => p.id),
			today: dayIn(studio.settings.zone)
		};
		const read = readDay(typed, about, contextOf(studio));
		if (!read.ok) return fail(400, { typed, errors: read.errors as Typed });
		const id = sentId(typed).slice(0, 40);
		const of = typed.of ?? '';
		return change(event, typed, (said) => {
			const known = said.days.some((d) => d.id === of);
			if (known) return { ...said, days: said.days.map((d) => (d.id === of ? { ...read.day, id: of } : d)) };
			// Pressed twice it is one day.
			if (said.days.some((d) => d.id === id)) return said;
			if (said.days.length >= MOST_DAYS) return `A job has up to ${MOST_DAYS} days. Take one out first.`;
			return { ...said, days: [...said.days, { ...read.day, id }] };
		});
	},
	takeOut: async (event) => {
		const typed: Typed = await fieldsOf(event.request);
		return change(event, typed, (said) => ({ ...said, days: said.days.filter((d) => d.id !== typed.of) }));
	},
	place: async (event) => {
		const typed: Typed = await fieldsOf(event.request);
		const read = readPlace(typed, contextOf(await loadStudio(event.locals.repos)));
		if (!read.ok) return fail(400, { typed, errors: read.errors as Typed });
		const { place, note } = read;
		return change(event, typed, (said) => ({ ...said, place, note }));
	},
	/** The same for next year: a draft with its lines and terms, at today’s prices. */
	again: async ({ request, locals, params }) => {
		const typed: Typed = await fieldsOf(request);
		const row = await locals.repos.jobs.find(params.quote);
		if (!row) error(404, GONE);
		const { settings } = await loadStudio(locals.repos);
		const eventDate = row.day === null ? null : nextYear(row.day, dayIn(settings.zone));
		const id = await copyQuote(locals.repos, params.quote, { id: sentId(typed), eventDate }, new Date());
		if (!id) error(404, GONE);
		redirect(303, `/quotes/${id}`);
	},
	/** The event is on another day, and everything goes with it. */
	move: async (event) => {
		const typed: Typed = await fieldsOf(event.request);
		const read = dayField('The new day').read(
			typed.to ?? '',
			contextOf(await loadStudio(event.locals.repos))
		);
		if (!read.ok || read.value === null)
			return fail(400, {
				typed,
				errors: { to: read.ok ? 'To which day? Pick it from the calendar.' : read.say } as Typed
			});
		const to = read.value;
		return change(event, typed, (said) => ({ ...said, days: shifted(said.days, to) }));
	}
};
