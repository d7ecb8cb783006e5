import { crewFor } from '../../core/cost/rates.ts';
import { countsOf, type JobCounted } from '../../core/job/counted.ts';
import { figuresOf, type JobFigure, type JobPiece } from '../../core/job/figures.ts';
import { realCost, reckonedWork, type Reckoning } from '../../core/job/real-cost.ts';
import { loaded } from '../../core/labour/people.ts';
import { paceOf } from '../../core/labour/pace.ts';
import { AS_USUAL, templateOf } from '../../core/labour/job.ts';
import { frozenIds } from '../../core/quote/chosen-lines.ts';
import { reckonedJob } from '../../core/quote/reckoned.ts';
import { buildSeconds } from '../../core/tally/order.ts';
import { ZERO } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import type { JobWork } from './job.ts';
import { orderOf } from './orders.ts';

/** What a job was reckoned with: what was chosen of it, and what it is paid. Undefined where its yes does not stand. */
export async function reckoningOf(
	repos: Repos,
	work: JobWork
): Promise<(Reckoning & { readonly pieces: readonly JobPiece[]; readonly place: string }) | undefined> {
	const [quote, order] = await Promise.all([repos.quotes.find(work.row.id), orderOf(repos, work.row.id)]);
	if (!quote || !order) return undefined;
	const { net } = order.chosen;
	const { terms, lines } = quote;
	const { made, around, besides, rates, fees } = reckonedJob(work.items, work.typed, { terms, net }, work.context);
	const frozen = frozenIds(terms, lines.map((l) => l.id));
	const designOf = new Map(lines.map((l) => [l.id, l.versionId.slice(0, l.versionId.lastIndexOf('.'))]));
	const pieces = work.items.map((item, i): JobPiece => ({
		design: designOf.get(item.id) ?? item.id,
		name: item.recipe.name,
		quantity: item.quantity,
		shown: order.chosen.lines.find((l) => frozen[l.at] === item.id)?.amount.minor ?? 0,
		cost: made.items[i]!.known.minor,
		seconds: buildSeconds([item], work.context).reduce((a, k) => a + k.paced, 0),
		uses: new Map(made.bill.lines.flatMap((l) => (l.material && l.byLine.has(i) ? [[l.material.id, l.byLine.get(i) ?? ZERO]] : [])))
	}));
	const place = templateOf(terms.job ?? AS_USUAL, rates.jobs).id;
	return { counts: countsOf(made.bill.lines), made: made.cost, around, besides, rates, net, fees, pieces, place };
} // prettier-ignore

/** What a counted job tells, to be kept with its count; nothing where its yes does not stand. */
export async function figuresOfJob(repos: Repos, work: JobWork, counted: JobCounted): Promise<JobFigure[]> {
	const reckoning = await reckoningOf(repos, work);
	if (!reckoning) return [];
	const { rates, net, fees, pieces, counts, place } = reckoning;
	const crew = crewFor(rates);
	const owners = rates.people.filter((p) => p.isOwner);
	const own = crew.people.filter((p) => p.isOwner).length;
	return figuresOf(
		{
			client: work.row.client,
			currency: rates.currency,
			net: net.minor,
			fees: fees.minor,
			pieces,
			counts,
			work: reckonedWork(reckoning),
			builds: buildSeconds(work.items, work.context),
			place,
			times: (phase) => paceOf(rates.jobs.paces, phase, place).valueOf(),
			owners: new Map(owners.map((p) => [p.id, loaded(p).valueOf() / 60])),
			// With nobody named it is the owner who works.
			ownMinute: crew.ownHours.equals(0) ? 0 : crew.ownPerHour.div(crew.ownHours).valueOf() / 60,
			ownShare: crew.people.length === 0 ? 1 : own / crew.people.length
		},
		counted,
		realCost(reckoning, counted)
	);
}
