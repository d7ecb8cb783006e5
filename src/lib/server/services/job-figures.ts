import { crewFor } from '../../core/cost/rates.ts';
import { countsOf, type JobCounted } from '../../core/job/counted.ts';
import { figuresOf, type JobFigure, type JobPiece } from '../../core/job/figures.ts';
import { realCost, reckonedWork, type Reckoning } from '../../core/job/real-cost.ts';
import { loaded } from '../../core/labour/people.ts';
import { AS_USUAL, templateOf } from '../../core/labour/job.ts';
import type { ChosenQuote } from '../../core/quote/chosen.ts';
import { frozenIds } from '../../core/quote/chosen-lines.ts';
import { reckonedJob } from '../../core/quote/reckoned.ts';
import { buildSeconds, type TalliedOrder } from '../../core/tally/order.ts';
import { ZERO } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import type { Quote } from '../repos/quotes.ts';
import type { JobWork } from './job.ts';
import { orderOf } from './orders.ts';

/** What a job was reckoned with, and what that was made of. */
interface Reckoned {
	readonly reckoning: Reckoning;
	/** What each piece costs of it, in the order of the pieces. */
	readonly made: TalliedOrder;
	readonly quote: Quote;
	readonly chosen: ChosenQuote;
}

/** What a job was reckoned with: what was chosen of it, and what it is paid. Undefined where its yes does not stand. */
export async function reckoningOf(repos: Repos, work: JobWork): Promise<Reckoned | undefined> {
	const [quote, order] = await Promise.all([repos.quotes.find(work.row.id), orderOf(repos, work.row.id)]);
	if (!quote || !order) return undefined;
	const { chosen } = order;
	const { made, around, besides, rates, fees } = reckonedJob(work.items, work.typed, { terms: quote.terms, net: chosen.net }, work.context);
	const reckoning = { counts: countsOf(made.bill.lines), made: made.cost, around, besides, rates, net: chosen.net, fees };
	return { reckoning, made, quote, chosen };
} // prettier-ignore

/** The pieces of a job, as what they came to is told of them. */
function piecesOf({ items, context }: JobWork, { made, quote, chosen }: Reckoned): JobPiece[] {
	const frozen = frozenIds(quote.terms, quote.lines.map((l) => l.id));
	const designOf = designsOn(quote);
	return items.map((item, i) => ({
		design: designOf.get(item.id) ?? item.id,
		name: item.recipe.name,
		quantity: item.quantity,
		shown: chosen.lines.find((l) => frozen[l.at] === item.id)?.amount.minor ?? 0,
		cost: made.items[i]!.known.minor,
		seconds: buildSeconds([item], context).reduce((a, k) => a + k.paced, 0),
		uses: new Map(made.bill.lines.flatMap((l) => (l.material && l.byLine.has(i) ? [[l.material.id, l.byLine.get(i) ?? ZERO]] : [])))
	}));
} // prettier-ignore

/** Minutes of each part of the work by its standards alone, whatever jobs taught. */
function unpaced({ items, typed, context }: JobWork, { quote, chosen }: Reckoned) {
	const { rates } = context;
	const plain = { ...context, rates: { ...rates, jobs: { ...rates.jobs, paces: undefined } } };
	const {
		made,
		around,
		rates: own
	} = reckonedJob(items, typed, { terms: quote.terms, net: chosen.net }, plain);
	return reckonedWork({ made: made.cost, around, rates: own });
}

/** The design of each line of a quote, by the id of the line. */
export const designsOn = ({ lines }: { readonly lines: readonly { readonly id: string; readonly versionId: string }[] }) =>
	new Map(lines.map((l) => [l.id, l.versionId.slice(0, l.versionId.lastIndexOf('.'))])); // prettier-ignore

/** What a counted job tells, to be kept with its count; nothing where its yes does not stand. */
export async function figuresOfJob(repos: Repos, work: JobWork, counted: JobCounted): Promise<JobFigure[]> {
	const reckoned = await reckoningOf(repos, work);
	if (!reckoned) return [];
	const { reckoning, quote } = reckoned;
	const { rates, net, fees, counts } = reckoning;
	const crew = crewFor(rates);
	const owners = rates.people.filter((p) => p.isOwner);
	const own = crew.people.filter((p) => p.isOwner).length;
	return figuresOf(
		{
			client: work.row.client,
			currency: rates.currency,
			net: net.minor,
			fees: fees.minor,
			pieces: piecesOf(work, reckoned),
			counts,
			work: reckonedWork(reckoning),
			base: unpaced(work, reckoned),
			builds: buildSeconds(work.items, work.context),
			place: templateOf(quote.terms.job ?? AS_USUAL, rates.jobs).id,
			owners: new Map(owners.map((p) => [p.id, loaded(p).valueOf() / 60])),
			// With nobody named it is the owner who works.
			ownMinute: crew.ownHours.equals(0) ? 0 : crew.ownPerHour.div(crew.ownHours).valueOf() / 60,
			ownShare: crew.people.length === 0 ? 1 : own / crew.people.length
		},
		counted,
		realCost(reckoning, counted)
	);
}
