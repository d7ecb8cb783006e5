import { paceOf, type JobHours } from '../../core/job/hours.ts';
import { eventDay, NO_PLACE, type JobDay, type JobPlace, type JobSaid } from '../../core/job/job.ts';
import { usualDays } from '../../core/job/usual-days.ts';
import { AS_USUAL, templateOf, type LeftAs } from '../../core/labour/job.ts';
import { chosenLines } from '../../core/quote/chosen-lines.ts';
import type { ClientDetails } from '../../core/quote/client.ts';
import type { QuoteItem } from '../../core/quote/quote.ts';
import { tallyOrder, type TalliedOrder } from '../../core/tally/order.ts';
import { tally, type Tally, type TallyContext } from '../../core/tally/tally.ts';
import type { JobRow } from '../repos/jobs.ts';
import type { Repos } from '../repos/index.ts';
import { itemsOf } from './jobs-ahead.ts';
import { orderOf } from './orders.ts';
import type { Studio } from './studio.ts';

/** A job worked out: what was chosen of its quote, counted together. */
export interface JobWork {
	readonly row: JobRow;
	readonly items: readonly (QuoteItem & { readonly tally: Tally; readonly design: string })[];
	/** Lines that are no design, with how many. */
	readonly typed: readonly { readonly id: string; readonly label: string; readonly quantity: number; readonly material: string | null }[];
	readonly order: TalliedOrder;
	readonly context: TallyContext;
	readonly hours: JobHours;
	/** Ids of who is on it where nobody was said for a day. */
	readonly people: readonly string[];
	readonly floats: boolean;
	readonly hasAir: boolean;
	readonly leftAs: LeftAs;
} // prettier-ignore

/** The designs on a job, and the work they are. Undefined where there is no such job. */
export async function workOfJob(repos: Repos, id: string, studio: Studio): Promise<JobWork | undefined> {
	const row = await repos.jobs.find(id);
	const own = row && (await itemsOf(repos, id, studio));
	if (!row || !own) return undefined;
	const { quote, items, context } = own;
	const { terms } = quote;
	// What the client chose; a yes that was told to the owner is to what is offered first.
	const order = row.isRevised ? undefined : await orderOf(repos, id);
	const all = items.map((i) => i.id);
	const on = order ? chosenLines(terms, all, order.choice) : new Set(all);
	const chosen = items.filter((i) => on.has(i.id));
	const typed = (terms.typed ?? []).filter((t) => !order || on.has(t.id));
	const plan = terms.job ?? AS_USUAL;
	const { leftAs } = templateOf(plan, context.rates.jobs);
	const people = plan.crew ?? context.rates.crew;
	const tallied = tallyOrder(chosen, context, leftAs);
	const counted = await Promise.all(
		chosen.map(async (item) => {
			const version = await repos.designs.version(quote.lines.find((l) => l.id === item.id)!.versionId);
			const { recipe, colourway, size, quantity } = item;
			return { ...item, design: version!.design, tally: tally(recipe, colourway, quantity, context, size ?? null) };
		})
	);
	return {
		row,
		items: counted,
		typed,
		order: tallied,
		context,
		hours: paceOf(tallied.cost, context.rates, people),
		people,
		floats: tallied.bill.inflate.some((l) => l.gas === 'helium'),
		hasAir: tallied.bill.inflate.some((l) => l.gas === 'air' && !l.kind.startsWith('foil')),
		leftAs
	};
} // prettier-ignore

/** What is said of a job, with what is usual where nothing is. */
export function saidOf(work: JobWork, client: ClientDetails & { readonly phone: string }): JobSaid {
	const { row } = work;
	if (row.said) return row.said;
	return { days: usualOf(work), place: placeFrom(client, row.venue), note: '' };
}

/** Its days as they usually come; none without a day for the event. */
export const usualOf = ({ row, hours, people, floats: afloat, leftAs }: JobWork): JobDay[] =>
	row.day === null
		? []
		: usualDays({
				event: row.day,
				buildHours: hours.standard,
				people,
				clock: hours.clock,
				floats: afloat,
				leftAs
			});

/** The place as the client's card has it. */
const placeFrom = ({ delivery, access, parking, floors, contacts, phone }: ClientDetails & { readonly phone: string }, venue: string): JobPlace => ({
	...NO_PLACE,
	address: [venue, delivery].filter(Boolean).join(', ').slice(0, 300),
	access: access ?? '',
	parking: parking ?? '',
	floors: (floors ?? '').slice(0, 300),
	contact: (contacts ?? '').slice(0, 120),
	phone: phone.slice(0, 60)
}); // prettier-ignore

/** The day of the event as it is said, else as the row has it. */
export const dayOf = (row: JobRow): string | null => (row.said ? (eventDay(row.said.days) ?? null) : row.day);
