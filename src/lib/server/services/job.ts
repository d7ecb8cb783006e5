import { hoursOf, type JobHours } from '../../core/job/hours.ts';
import { NO_PLACE, type JobDay, type JobPlace, type JobSaid } from '../../core/job/job.ts';
import { usualDays } from '../../core/job/usual-days.ts';
import { AS_USUAL, templateOf, type LeftAs } from '../../core/labour/job.ts';
import type { ClientDetails } from '../../core/quote/client.ts';
import { contextOn, type QuoteItem, type QuoteTerms } from '../../core/quote/quote.ts';
import { tallyOrder, type TalliedOrder } from '../../core/tally/order.ts';
import { tally, type Tally, type TallyContext } from '../../core/tally/tally.ts';
import type { JobRow } from '../repos/jobs.ts';
import type { Repos } from '../repos/index.ts';
import { itemsOf } from './jobs-ahead.ts';
import type { Studio } from './studio.ts';

/** A job worked out: what was chosen of its quote, counted together. */
export interface JobWork {
	readonly row: JobRow;
	readonly items: readonly QuoteItem[];
	/** Lines that are no design. */
	readonly typed: NonNullable<QuoteTerms['typed']>;
	readonly order: TalliedOrder;
	readonly context: TallyContext;
	/** Ids of who is on it where nobody was said for a day. */
	readonly people: readonly string[];
	readonly hasAir: boolean;
	readonly leftAs: LeftAs;
	/** Whom to call, and what else is known of the client. */
	readonly client: { readonly phone: string; readonly details: ClientDetails };
}

/** The designs on a job, and the work they are. Undefined where there is no such job. */
export async function workOfJob(repos: Repos, id: string, studio: Studio): Promise<JobWork | undefined> {
	const row = await repos.jobs.find(id);
	const own = row && (await itemsOf(repos, id, studio));
	if (!row || !own) return undefined;
	const { quote, items, typed } = own;
	const context = contextOn(quote.terms, own.context);
	const plan = quote.terms.job ?? AS_USUAL;
	const { leftAs } = templateOf(plan, context.rates.jobs);
	const order = tallyOrder(items, context, leftAs);
	const client = await repos.clients.ofQuote(id);
	return {
		row,
		items,
		typed,
		order,
		context,
		people: plan.crew ?? context.rates.crew,
		hasAir: order.bill.inflate.some((l) => l.gas === 'air' && !l.kind.startsWith('foil')),
		leftAs,
		client: { phone: client?.phone ?? '', details: client?.details ?? {} }
	};
}

/** Each piece of a job counted by itself, in their order: what it is packed with, how tall it stands. */
export const talliesOf = ({ items, context }: JobWork): readonly Tally[] =>
	items.map(({ recipe, colourway, quantity, size }) =>
		tally(recipe, colourway, quantity, context, size ?? null)
	);

/** What is said of a job, with what is usual where nothing is. */
export const saidOf = (work: JobWork): JobSaid =>
	work.row.said ?? { days: usualOf(work), place: placeFrom(work), note: '' };

/** The work on a job with these people: nobody is who is usually on it. */
export const hoursWith = ({ order, context, people }: JobWork, who: readonly string[]): JobHours =>
	hoursOf(order.cost, context.rates, who.length > 0 ? who : people);

/** Its days as they usually come; none without a day for the event. */
function usualOf(work: JobWork): readonly JobDay[] {
	const { row, order, people, leftAs } = work;
	if (row.day === null) return [];
	const { standard, clock } = hoursWith(work, people);
	const floats = order.bill.inflate.some((l) => l.gas === 'helium');
	return usualDays({ event: row.day, buildHours: standard, people, clock, floats, leftAs });
}

/** The place as the client's card has it. */
const placeFrom = ({ row, client }: JobWork): JobPlace => {
	const { delivery, access = '', parking = '', floors = '', contacts = '' } = client.details;
	return {
		...NO_PLACE,
		address: [row.venue, delivery].filter(Boolean).join(', ').slice(0, 300),
		access,
		parking,
		floors: floors.slice(0, 300),
		contact: contacts.slice(0, 120),
		phone: client.phone.slice(0, 60)
	};
};
