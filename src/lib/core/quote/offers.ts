import type { Id } from '../document/id.ts';
import { money, subtract, type Money } from '../money/money.ts';
import type { OrderFacts } from '../pricing/rules.ts';
import type { TallyContext } from '../tally/tally.ts';
import type { Glance } from './frozen.ts';
import {
	groupsOf,
	isInLevel,
	hasChoices,
	inOrder,
	levelsOf,
	plainSelection,
	type Selection
} from './choices.ts';
import { priceQuote, type PricedQuote, type QuoteItem, type QuoteTerms } from './quote.ts';

/** A quote as it is chosen, and what each thing that may be chosen besides makes of it. */
export interface Offer {
	readonly level: string | null;
	/** With no add-on, and the first of each group. */
	readonly priced: PricedQuote;
	/** What one add-on or one other pick of a group makes of it, by the id of the line. */
	readonly others: readonly OtherChoice[];
}

/** An add-on, or another line of a group in the place of its first. */
export interface OtherChoice {
	readonly id: Id;
	/** Null of an add-on. */
	readonly group: string | null;
	readonly priced: PricedQuote;
	/** What it adds to the price as it is said; less than 0 where it is cheaper. */
	readonly adds: Money;
}

const saidOf = ({ price }: PricedQuote, { rates }: TallyContext): Money =>
	price.status === 'priced' ? price.said : money(0, rates.currency);

/** Every level with everything that may be chosen of it, one by one: what a client ticks is then a sum. */
export function offersOf(
	items: readonly QuoteItem[],
	terms: QuoteTerms,
	context: TallyContext,
	facts?: Omit<OrderFacts, 'pieces'>
): Offer[] {
	const ids = allIds(items, terms);
	return levelsOf(terms).map((level): Offer => {
		const plain = plainSelection(terms, level);
		const price = (selection: Selection) => priceQuote(items, terms, context, facts, selection);
		const priced = price(plain);
		const said = saidOf(priced, context);
		const other = (id: Id, group: string | null, selection: Selection): OtherChoice => {
			const own = price(selection);
			return { id, group, priced: own, adds: subtract(saidOf(own, context), said) };
		};
		const addOns = ids
			// An extra of another level is none on this one: it would be had for nothing.
			.filter((id) => terms.about?.[id]?.addOn && isInLevel(terms, id, level))
			.map((id) => other(id, null, { ...plain, ticked: [id] }));
		const picks = [...groupsOf(terms, ids, level)].flatMap(([group, [, ...rest]]) =>
			rest.map((id) => other(id, group, { ...plain, picks: { [group]: id } }))
		);
		return { level, priced, others: [...addOns, ...picks] };
	});
}

/** Ids of all lines of a quote as they are read. */
export const allIds = (items: readonly Pick<QuoteItem, 'id'>[], { typed = [], order }: QuoteTerms): Id[] =>
	inOrder(
		[...items, ...typed].map((l) => l.id),
		order
	);

/** Whether the client has anything to choose on it. */
export const isChoosing = (items: readonly Pick<QuoteItem, 'id'>[], terms: QuoteTerms): boolean =>
	hasChoices(terms, allIds(items, terms));

/** Each level, and each choice on top of one, as an owner looks at them. */
export function glanceOf(offers: readonly Offer[], { about = {}, typed = [] }: QuoteTerms): Glance[] {
	const nameOf = (id: Id, { lines }: PricedQuote): string =>
		typed.find((t) => t.id === id)?.label ?? lines.find((l) => l.item.id === id)?.item.recipe.name ?? id;
	const one = (name: string, { price, effort }: PricedQuote): Glance => ({
		name,
		total: price.status === 'priced' ? price.total.minor : 0,
		margin: price.status === 'priced' ? (price.margin ?? null) : null,
		hours: effort.hours
	});
	return offers.flatMap(({ level, priced, others }) => [
		one(level ?? 'as it stands', priced),
		...others.map(({ id, group, priced: own }) => {
			const what = nameOf(id, own);
			const how = group === null ? `with ${what}` : `${about[id]?.group ?? group}: ${what}`;
			return one(level === null ? how : `${level}, ${how}`, own);
		})
	]);
}
