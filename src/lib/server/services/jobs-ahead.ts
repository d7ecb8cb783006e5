import { parseDate } from '@internationalized/date';
import type { Wanted } from '../../core/bom/explode.ts';
import { GONE } from '../../core/document/names.ts';
import { conflictsOf, type Booking } from '../../core/owned/conflicts.ts';
import { haveOf, OUT, standInsFor } from '../../core/owned/owned.ts';
import { quoteItems } from '../../core/quote/quote.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { tally } from '../../core/tally/tally.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import type { DatedQuote } from '../repos/things.ts';
import { recipePage } from './quoting.ts';
import { contextOf, loadStudio, type Studio } from './studio.ts';

/** Days that follow each other, as numbers. @param day `2027-05-01` */
export const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000);
export const dayOfNumber = (n: number): string => new Date(n * 86_400_000).toISOString().slice(0, 10);

/** The designs of a quote as they stand on it, and what they are worked out from. */
async function itemsOf(repos: Repos, id: string, studio: Studio) {
	const quote = await repos.quotes.find(id);
	if (!quote) return undefined;
	const page = await recipePage(repos, quote.lines.map((l) => l.versionId)); // prettier-ignore
	const recipes = new Map(page.recipes);
	return {
		quote,
		items: quoteItems(quote.lines, (version) => recipes.get(version), quote.terms),
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
	for (const { recipe, colourway, size, quantity } of own.items)
		for (const line of tally(recipe, colourway, quantity, own.context, size ?? null).bill.lines)
			// What is bought by length is no piece.
			if (line.material?.reuse && line.material.unit === 'piece' && line.role !== 'by-product')
				add(line.material.id, line.used.valueOf());
	for (const typed of own.quote.terms.typed ?? []) if (typed.material) add(typed.material, typed.quantity);
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
	const first = parseDate(from).subtract({ days: OUT.after }).toString();
	const last = parseDate(to).add({ days: OUT.before }).toString();
	const found: Booking[] = [];
	for (const job of await repos.things.dated(first, last)) {
		const booking = await bookingOf(repos, job, studio);
		if (booking) found.push(booking);
	}
	return found;
}

/** What a quote, a draft too, wants of things that are out or short on its days: a sentence each. */
export async function wantedTwice(repos: Repos, { id }: { id: string }): Promise<string[]> {
	const [quote, studio, owned] = await Promise.all([repos.quotes.find(id), loadStudio(repos), repos.things.owned()]);
	if (!quote?.eventDate || owned.length === 0) return [];
	const job = { id, number: quote.number, client: quote.clientName, day: quote.eventDate, firm: quote.state === 'accepted' };
	const day = parseDate(quote.eventDate);
	const [from, to] = [day.subtract({ days: OUT.before }).toString(), day.add({ days: OUT.after }).toString()];
	const others = (await bookingsBetween(repos, from, to)).filter((b) => b.quote !== id);
	const own = await bookingOf(repos, job, studio);
	const byId = new Map(studio.materials.map((m) => [m.id, m]));
	const back = studio.materials.filter((m) => m.reuse && m.unit === 'piece');
	const found = conflictsOf(haveOf(owned), own ? [...others, own] : others, (m) => (byId.has(m) ? standInsFor(byId.get(m)!, back) : []));
	return found
		.filter((c) => c.by.some((b) => b.quote === id))
		.map(({ material, by, wanted, have, standIns }) => {
			const name = (of: string) => byId.get(of)?.name ?? GONE.material;
			const rest = by.filter((b) => b.quote !== id).map((b) => `${b.needs.get(material)} for ${b.says}${b.firm ? '' : ', offered'}`);
			const instead = standIns.length > 0 ? `Could stand in: ${standIns.map((s) => `${name(s.material)} (${s.free} free)`).join('; ')}.` : 'Nothing you have could stand in.';
			return `${wanted} × ${name(material)} are wanted on those days, and there ${have === 1 ? 'is' : 'are'} ${have}${rest.length > 0 ? ` (${rest.join('; ')})` : ''}. ${instead}`;
		});
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
