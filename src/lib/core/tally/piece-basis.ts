import type { Cost } from '../cost/cost.ts';
import { jobCost, type JobCost, type JobCostPart } from '../cost/job-cost.ts';
import { crewFor, type Rates } from '../cost/rates.ts';
import { AS_USUAL, jobOf } from '../labour/job.ts';
import type { Crew } from '../labour/people.ts';
import type { Amount } from '../cost/amount.ts';
import type { Basis, CardClass } from '../pricing/basis.ts';
import { soldAs, soldBy } from '../structures/registry/count.ts';
import { leadingSection } from '../recipe/scale.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { rational, sum, type Rational } from '../units/rational.ts';

const FOOT = 304.8;

/** Hours of work as they go into a price: all of them, and the owner's own with what those are reckoned at. */
const worked = (seconds: Rational, crew: Crew) => {
	const hours = seconds.div(3600);
	return { hours, ownHours: hours.mul(crew.ownHours), ownCost: hours.mul(crew.ownPerHour) };
};

/** The section a design is sold as. */
const leadOf = (recipe: Pick<Recipe, 'sections'>) => leadingSection(recipe) ?? recipe.sections[0];

/** The class of a design on a rate card. */
export function classOf(recipe: Pick<Recipe, 'sections'>): CardClass {
	const lead = leadOf(recipe);
	return lead ? soldAs(lead.structure) : 'other';
}

/** What so many of a design may be priced from. @param cost of all of them @param share of the cost where it is part of an order */
export function basisOf(
	{
		built,
		cost,
		quantity,
		balloons
	}: { readonly built: Recipe; readonly cost: Cost; readonly quantity: number; readonly balloons: number },
	crew: Crew,
	pumps: readonly PumpProfile[],
	part: Amount = cost.total
): Basis {
	const lead = leadOf(built);
	return {
		cost: rational(part.known.minor),
		materials: rational(cost.materialsTotal.known.minor + cost.frameTotal.known.minor),
		...worked(cost.seconds, crew),
		feet: lead ? (quantity * lead.times * soldBy(lead.structure, pumps)) / FOOT : 0,
		balloons,
		pieces: quantity,
		kind: classOf(built)
	};
}

/** What parts of a job may be priced from. @param besides money that is paid for it, minor units */
function basisOfParts(parts: readonly JobCostPart[], total: number, besides: number, crew: Crew): Basis {
	const seconds = sum(parts.map((p) => rational(p.seconds)));
	return {
		cost: rational(total),
		materials: rational(besides),
		...worked(seconds, crew),
		feet: 0,
		balloons: 0,
		pieces: 0,
		kind: null
	};
}

/** What the road and the rest of a job may be priced from. */
export function jobBasis(job: JobCost, crew: Crew): { readonly road: Basis; readonly rest: Basis } {
	const onRoad = job.parts.filter((p) => p.phase === 'on the road');
	const other = job.parts.filter((p) => p.phase !== 'on the road');
	const paid = job.lines.reduce((a, l) => a + l.amount.minor, 0);
	return {
		road: basisOfParts(onRoad, job.road.minor, job.van.minor, crew),
		rest: basisOfParts(other, job.rest.minor, paid, crew)
	};
}

/** The studio's usual job and people: what a design by itself is reckoned with. */
export interface UsualJob {
	readonly job: JobCost;
	readonly crew: Crew;
	readonly bases: ReturnType<typeof jobBasis>;
}
const usual = new WeakMap<Rates, UsualJob>();
/** Worked out once for the same figures: a keystroke changes none of them. */
export function usualJob(rates: Rates): UsualJob {
	const known = usual.get(rates);
	if (known) return known;
	const job = jobCost(jobOf(AS_USUAL, rates.jobs), rates);
	const crew = crewFor(rates);
	const made = { job, crew, bases: jobBasis(job, crew) };
	usual.set(rates, made);
	return made;
}
