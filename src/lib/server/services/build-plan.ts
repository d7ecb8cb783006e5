import { buildPlan, USUAL_SHOP, waysOut, type BuildJob, type BuildShop } from '../../core/job/build-plan.ts';
import { buildTasks } from '../../core/job/build-tasks.ts';
import { inOrder as daysInOrder, type JobDay } from '../../core/job/job.ts';
import { DomainError } from '../../core/errors.ts';
import { planOf } from '../../core/plan/plan.ts';
import type { Effort } from '../../core/schedule/solve.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { saidOf, workOfJob, type JobWork } from './job.ts';
import { saysOf } from './jobs-ahead.ts';
import { loadStudio } from './studio.ts';

/** Who builds and where, as it is asked for. */
export interface PlanAsked {
	readonly today: string;
	readonly until: string;
	readonly hours: number;
	readonly benches: number;
	readonly cylinders: number;
	/** Ids of who builds; none is the usual crew. */
	readonly people: readonly string[];
}

/** The building of all jobs of a period. @param effort of the plan; ways out are looked for with a fifth of it each */
export async function buildPlanPage(repos: Repos, asked: PlanAsked, effort: () => Effort) {
	const { today, until } = asked;
	const studio = await loadStudio(repos);
	const { rates } = studio.settings;
	const near = await repos.jobs.between(today, until);
	const counted = await repos.jobCounts.counted(near.map((r) => r.id));
	const jobs: BuildJob[] = [];
	const away: BuildShop['away'][number][] = [];
	for (const row of near) {
		if (row.day === null || row.day < today || row.day > until || counted.has(row.id)) continue;
		const work = await workOfJob(repos, row.id, studio);
		if (!work) continue;
		const { days } = saidOf(work);
		away.push(...elsewhere(days));
		jobs.push({ id: row.id, says: saysOf(row), event: row.day, leaves: leavesOf(days, row.day), tasks: tasksOf(work) });
	}
	const chosen = asked.people.length > 0 ? asked.people : rates.crew;
	const hands = rates.people.filter((p) => chosen.includes(p.id)).map(({ id, name, pace }) => ({ id, name, pace: rational(pace).valueOf() }));
	// Nobody named is one pair of hands.
	const people = hands.length > 0 ? hands : [{ id: 'hands', name: 'one pair of hands', pace: 1 }];
	const shop: BuildShop = { people, from: USUAL_SHOP.from, hours: asked.hours, benches: asked.benches, cylinders: asked.cylinders, away };
	const plan = buildPlan(jobs, shop, today, effort());
	const ways = plan.misses > 0 ? waysOut(jobs, shop, { today, misses: plan.misses }, { rounds: 60 }) : [];
	return {
		plan,
		ways,
		jobs: jobs.map(({ id, says, event, leaves, tasks }) => ({ id, says, event, leaves, minutes: tasks.reduce((a, t) => a + t.minutes, 0) })),
		people,
		everybody: rates.people.map(({ id, name }) => ({ id, name })),
		from: shop.from
	};
} // prettier-ignore

/** When what is built leaves the bench: with the first drive or setting up, else on the day of the event. */
function leavesOf(days: readonly JobDay[], event: string): BuildJob['leaves'] {
	const first = daysInOrder(days).find((d) => d.stage === 'drive' || d.stage === 'set up');
	return { day: first?.day ?? event, minute: first?.from ?? USUAL_SHOP.from };
}

/** Hours that somebody is not at the bench: on the road, setting up, taking down. */
const elsewhere = (days: readonly JobDay[]): BuildShop['away'] =>
	days.flatMap(({ stage, day, from, to, people }) =>
		stage === 'build' || stage === 'event' || from === null
			? []
			: people.map((person) => ({ person, day, from, to: to === null || to <= from ? 24 * 60 : to }))
	);

/** What is built at the bench for a job, piece by piece. */
function tasksOf({ items, context }: JobWork): BuildJob['tasks'] {
	return items.flatMap(({ id, recipe, colourway, size = null, quantity }) => {
		try {
			const parts = planOf(recipe, { colourway, size, quantity }, context);
			const piece = `${quantity} × ${recipe.name}`;
			return buildTasks(parts, { recipe, library: context.library, piece, key: id }, context.rates.standards);
		} catch (error) {
			// What cannot be counted cannot be planned; the job says why.
			if (error instanceof DomainError) return [];
			throw error;
		}
	});
} // prettier-ignore
