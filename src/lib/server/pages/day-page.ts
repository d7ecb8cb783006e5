import { inOrder, type JobDay } from '../../core/job/job.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { Repos } from '../repos/index.ts';
import { saidOf, workOfJob } from '../services/job.ts';
import { loadStudio, type Studio } from '../services/studio.ts';

/** One day for whoever works on it: where, when, who, what goes into the van, whom to call. No price is read here. */
export async function dayPage(repos: Repos, { day }: { readonly day: string }) {
	const studio = await loadStudio(repos);
	const names = new Map(studio.settings.rates.people.map((p) => [p.id, p.name]));
	const found: ({ readonly job: Awaited<ReturnType<typeof one>> } & Stop)[] = [];
	for (const row of await repos.jobs.between(day, day)) {
		// What is said of it and has nothing on this day is not worked out.
		if (row.said && !row.said.days.some((d) => d.day === day)) continue;
		const job = await one(repos, row.id, studio);
		for (const stop of job?.days.filter((d) => d.day === day) ?? [])
			found.push({ job, stop, who: stop.people.map((p) => names.get(p) ?? 'somebody who is gone') });
	}
	const order = inOrder(found.map((f) => f.stop));
	const others = await repos.jobs.otherEvents(day, day);
	const n = dayNumber(day);
	return {
		day,
		before: dayOfNumber(n - 1),
		after: dayOfNumber(n + 1),
		stops: found.sort((a, b) => order.indexOf(a.stop) - order.indexOf(b.stop)),
		others: others.map(({ title, calendar, fromMinute, toMinute }) => ({ title, calendar, fromMinute, toMinute }))
	};
} // prettier-ignore

interface Stop {
	readonly stop: JobDay;
	readonly who: readonly string[];
}

async function one(repos: Repos, id: string, studio: Studio) {
	const work = await workOfJob(repos, id, studio);
	if (!work) return null;
	const { days, place, note } = saidOf(work);
	return {
		id,
		number: work.row.number,
		client: work.row.client,
		occasion: work.row.occasion,
		days,
		place,
		note,
		allergies: work.client.details.allergies ?? '',
		load: work.items.map(({ recipe, quantity }) => `${quantity} × ${recipe.name}`)
	};
}
