import type { QuoteState } from '../../core/quote/states.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import { orderBill } from '../../core/tally/order.ts';
import type { Repos } from '../repos/index.ts';
import { itemsOf, saysOf, takenOf } from './jobs-ahead.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/** Where a material is used: designs as they were last kept, and quotes as they stand. */
export interface WhereUsed {
	/** The design that takes most of it first; pieces, or of its unit, for one. */
	readonly designs: readonly { readonly id: string; readonly name: string; readonly used: number }[];
	readonly quotes: readonly { readonly id: string; readonly says: string; readonly state: QuoteState; readonly day: string | null; readonly taken: number }[]; // prettier-ignore
}

/** Quotes nothing comes of any more. */
const OVER: ReadonlySet<QuoteState> = new Set<QuoteState>(['declined', 'lapsed', 'cancelled']);

/** Looks through every kept design and every quote that is not over. */
export async function whereUsed(repos: Repos, { material }: { material: string }): Promise<WhereUsed> {
	const studio = await loadStudio(repos);
	const designs: { id: string; name: string; used: number }[] = [];
	const kept = (await repos.designs.shelf()).flatMap((r) => (r.versionId === null ? [] : [r.id]));
	for (let at = 0; at < kept.length; at += 50)
		for (const { design, recipe } of await repos.designs.lastKeptOf(kept.slice(at, at + 50))) {
			const one = [{ recipe, colourway: null, quantity: 1 }];
			const { lines } = orderBill(one, contextOf(studio, await loadLibrary(repos, recipe)));
			const own = lines.filter((l) => l.material?.id === material && l.role !== 'by-product');
			const used = own.reduce((a, l) => a + l.used.valueOf(), 0);
			if (used > 0) designs.push({ id: design, name: recipe.name, used });
		}
	const quotes: WhereUsed['quotes'][number][] = [];
	for (let page = 1, pages = 1; page <= pages; page++) {
		const found = await repos.quoteList.page({ page, every: true });
		pages = found.pages;
		for (const row of found.rows) {
			const own = OVER.has(row.state) ? undefined : await itemsOf(repos, row.id, studio);
			const taken = own ? takenOf(own, material) : 0;
			if (taken > 0) quotes.push({ id: row.id, says: saysOf({ number: own!.quote.number, client: own!.quote.clientName }), state: own!.quote.state, day: own!.quote.eventDate, taken }); // prettier-ignore
		}
	}
	return { designs: designs.sort((a, b) => b.used - a.used), quotes };
}

/** What accepted jobs still ahead take of a material. */
export interface Reserved {
	readonly quote: string;
	readonly says: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
	/** Pieces, or of its unit, with the spares. */
	readonly quantity: number;
}

/** What is set aside for jobs that were accepted, from a day on for a year, the soonest first. */
export function reservedFrom({ quotes }: WhereUsed, from: string): Reserved[] {
	const until = dayOfNumber(dayNumber(from) + 365);
	return quotes
		.flatMap(({ id, says, state, day, taken }): Reserved[] => (state === 'accepted' && day !== null && day >= from && day <= until ? [{ quote: id, says, day, quantity: taken }] : []))
		.sort((a, b) => (a.day < b.day ? -1 : 1));
} // prettier-ignore
