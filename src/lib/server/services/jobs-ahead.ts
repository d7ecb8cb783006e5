import type { Wanted } from '../../core/bom/explode.ts';
import { GONE } from '../../core/document/names.ts';
import { conflictsOf, type Booking } from '../../core/owned/conflicts.ts';
import { haveOf, isPiece, OUT, standInsFor, type OwnedThing } from '../../core/owned/owned.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import { chosenLines } from '../../core/quote/chosen-lines.ts';
import { quoteItems } from '../../core/quote/quote.ts';
import { onJob, settledRecipe, withSettled } from '../../core/job/settled.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { orderBill } from '../../core/tally/order.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import type { DatedQuote } from '../repos/things.ts';
import { orderOf } from './orders.ts';
import { recipePage } from './quoting.ts';
import { contextOf, loadStudio, type Studio } from './studio.ts';

/**
 * The designs of a quote as they stand on it, lines that are none, and what they are worked out from. Of a quote with a yes
 * only what was chosen: a yes that was told to the owner is to what is offered first.
 * @param as what was settled late is over it; or as it was quoted
 */
export async function itemsOf(
	repos: Repos,
	id: string,
	studio: Studio,
	as: 'settled' | 'quoted' = 'settled'
) {
	const found = await repos.quotes.find(id);
	if (!found) return undefined;
	const isJob = found.state === 'accepted';
	const settled = (isJob && as === 'settled' && (await repos.jobs.find(id))?.said?.settled) || {};
	const quote = { ...found, terms: withSettled(found.terms, settled) };
	const page = await recipePage(repos, quote.lines.map((l) => l.versionId)); // prettier-ignore
	const recipes = new Map(page.recipes);
	const items = quoteItems(quote.lines, (version) => recipes.get(version), quote.terms).map((i) => ({ ...i, recipe: settledRecipe(i.recipe, settled[i.id]?.parts) })); // prettier-ignore
	const { typed = [] } = quote.terms;
	const order = isJob ? await orderOf(repos, id) : undefined;
	const all = [...items, ...typed].map((i) => i.id);
	const on = order && onJob(chosenLines(quote.terms, items.map((i) => i.id), order.choice), all, settled); // prettier-ignore
	return {
		quote,
		items: on ? items.filter((i) => on.has(i.id)) : items,
		typed: on ? typed.filter((t) => on.has(t.id)) : typed,
		library: page.library,
		context: contextOf(studio, new Map(page.library))
	};
}

/** What a job has out of what comes back, from the day it leaves to the day it is home. */
async function bookingOf(repos: Repos, job: DatedQuote, studio: Studio): Promise<Booking | undefined> {
	const own = await itemsOf(repos, job.id, studio);
	if (!own) return undefined;
	const needs = new Map<string, number>();
	const add = (id: string, n: number) => needs.set(id, (needs.get(id) ?? 0) + Math.ceil(n - 1e-9));
	for (const item of own.items)
		for (const line of orderBill([item], own.context).lines)
			if (line.material && isPiece(line.material) && line.role !== 'by-product')
				add(line.material.id, line.used.valueOf());
	for (const typed of own.typed) if (typed.material) add(typed.material, typed.quantity);
	const day = dayNumber(job.day);
	return {
		quote: job.id,
		says: saysOf(job),
		firm: job.firm,
		from: day - OUT.before,
		to: day + OUT.after,
		needs
	};
}

/** What jobs between two days have out, each from the day it leaves to the day it is home. */
export async function bookingsBetween(repos: Repos, from: string, to: string): Promise<Booking[]> {
	const studio = await loadStudio(repos);
	const first = dayOfNumber(dayNumber(from) - OUT.after);
	const last = dayOfNumber(dayNumber(to) + OUT.before);
	const found: Booking[] = [];
	for (const job of await repos.things.dated(first, last)) {
		const booking = await bookingOf(repos, job, studio);
		if (booking) found.push(booking);
	}
	return found;
}

/** What is wanted twice of what is written down, with names for what it is about. */
export function conflictsIn(
	{ materials }: Studio,
	owned: readonly OwnedThing[],
	bookings: readonly Booking[]
) {
	const byId = new Map(materials.map((m) => [m.id, m]));
	const back = materials.filter(isPiece);
	const nameOf = (id: string) => byId.get(id)?.name ?? GONE.material;
	const likeIt = (id: string) => (byId.has(id) ? standInsFor(byId.get(id)!, back) : []);
	return conflictsOf(haveOf(owned), bookings, likeIt).map((c) => ({
		...c,
		thing: nameOf(c.material),
		standIns: c.standIns.map(({ material, free }) => `${nameOf(material)} (${free} free)`)
	}));
}

/** What a quote, a draft too, wants of things that are out or short on its days: a sentence each. */
export async function wantedTwice(repos: Repos, { id }: { id: string }): Promise<string[]> {
	const [quote, studio, owned] = await Promise.all([repos.quotes.find(id), loadStudio(repos), repos.things.owned()]);
	if (!quote?.eventDate || owned.length === 0) return [];
	const job = { id, number: quote.number, client: quote.clientName, day: quote.eventDate, firm: quote.state === 'accepted' };
	const day = dayNumber(quote.eventDate);
	const others = await bookingsBetween(repos, dayOfNumber(day - OUT.before), dayOfNumber(day + OUT.after));
	const own = await bookingOf(repos, job, studio);
	const bookings = [...others.filter((b) => b.quote !== id), ...(own ? [own] : [])];
	return conflictsIn(studio, owned, bookings)
		.filter((c) => c.by.some((b) => b.quote === id))
		.map(({ material, thing, by, wanted, have, standIns }) => {
			const rest = by.filter((b) => b.quote !== id).map((b) => `${b.needs.get(material)} for ${b.says}${b.firm ? '' : ', offered'}`);
			const instead = standIns.length > 0 ? `Could stand in: ${standIns.join('; ')}.` : 'Nothing you have could stand in.';
			return `${wanted} × ${thing} are wanted on those days, and there ${have === 1 ? 'is' : 'are'} ${have}${rest.length > 0 ? ` (${rest.join('; ')})` : ''}. ${instead}`;
		});
} // prettier-ignore
/** What a quote takes of a material, with the spares: pieces, or of its unit. */
export function takenOf({ items, context }: NonNullable<Awaited<ReturnType<typeof itemsOf>>>, material: string): number {
	let quantity = 0;
	for (const item of items)
		for (const line of orderBill([item], context).lines)
			if (line.material?.id === material && line.role !== 'by-product')
				quantity += line.material.reuse ? line.used.valueOf() : line.toBuy;
	return quantity;
} // prettier-ignore

export const saysOf = ({ number, client }: Pick<DatedQuote, 'number' | 'client'>): string =>
	`${number}, ${client}`;

/** What some quotes build, for one cut list over all of them. */
export async function wantedOf(repos: Repos, quotes: readonly string[]) {
	const studio = await loadStudio(repos);
	const wanted: Wanted[] = [];
	const library = new Map<string, Recipe>();
	for (const id of quotes) {
		const own = await itemsOf(repos, id, studio);
		for (const { recipe, colourway, size, quantity } of own?.items ?? [])
			wanted.push({ recipe, colourway, size: size ?? null, quantity: rational(quantity) });
		for (const [design, inner] of own?.library ?? []) library.set(design, inner);
	}
	return { wanted, context: contextOf(studio, library) };
}
