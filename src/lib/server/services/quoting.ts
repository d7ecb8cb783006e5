import { freeze } from '../../core/quote/freeze.ts';
import type { FrozenOwner, FrozenQuote } from '../../core/quote/frozen.ts';
import {
	plainTerms,
	priceQuote,
	quoteItems,
	taxedFor,
	type PricedQuote,
	type QuoteTerms
} from '../../core/quote/quote.ts';
import { readQuote, type RawQuote } from '../../core/quote/read-form.ts';
import { glanceOf, isChoosing, offersOf } from '../../core/quote/offers.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Repos } from '../repos/index.ts';
import type { ReadLine } from '../../core/quote/read-lines.ts';
import type { Quote } from '../repos/quotes.ts';
import { factsOf, type OrderBook } from '../../core/pricing/rules.ts';
import { calendarDayIn, dayIn } from './day-in.ts';
import { contextOf, loadLibrary, loadStudio, type Studio } from './studio.ts';

/** Recipes of kept versions and all inside them, as plain data for a page; those that are gone are left out. */
export async function recipePage(repos: Repos, versionIds: readonly string[]) {
	const read = await Promise.all([...new Set(versionIds)].map((id) => repos.designs.version(id)));
	const found = read.flatMap((version) => version ?? []);
	const library = new Map<string, Recipe>();
	for (const { recipe } of found)
		for (const [id, inner] of await loadLibrary(repos, recipe)) library.set(id, inner);
	return { recipes: found.map(({ id, recipe }) => [id, recipe] as const), library: [...library] };
}

/** What rules of an order are told by: orders that were won, and today where the business is. */
export async function orderBook(repos: Repos, { settings }: Studio, now = new Date()): Promise<OrderBook> {
	return { today: dayIn(settings.zone, now), ...(await repos.orders.won()) };
}

/** What a quote is priced from. */
async function studied(repos: Repos, quote: Quote, studio: Studio, book: OrderBook) {
	const page = await recipePage(
		repos,
		quote.lines.map((l) => l.versionId)
	);
	const recipes = new Map(page.recipes);
	const exempt = (await repos.clients.ofQuote(quote.id))?.details.exempt;
	return {
		exempt,
		terms: taxedFor(quote.terms, exempt),
		items: quoteItems(quote.lines, (id) => recipes.get(id), quote.terms),
		context: contextOf(studio, new Map(page.library)),
		facts: factsOf({ client: quote.clientName, day: quote.eventDate, pieces: 0 }, book)
	};
}

export async function workOutQuote(
	repos: Repos,
	quote: Quote,
	studio: Studio,
	book: OrderBook
): Promise<PricedQuote> {
	const { items, terms, context, facts } = await studied(repos, quote, studio, book);
	return priceQuote(items, terms, context, facts);
}

/** What drafts come to at today's prices, in minor units, by their ids; those without a price are left out. */
export async function draftSums(
	repos: Repos,
	ids: readonly string[],
	stock?: Studio
): Promise<Record<string, number>> {
	const studio = stock ?? (await loadStudio(repos));
	const book = await orderBook(repos, studio);
	const sums: Record<string, number> = {};
	for (const id of ids) {
		const quote = await repos.quotes.find(id);
		if (!quote || quote.state !== 'draft') continue;
		const { price } = await workOutQuote(repos, quote, studio, book);
		if (price.status !== 'refused') sums[id] = price.total.minor;
	}
	return sums;
}

/** The last calendar day an offer stands, where the business is. */
export function validUntil(now: Date, days: number, zone: string): string {
	return calendarDayIn(zone, now).add({ days }).toString();
}

/** Why a draft is not sent. */
export type NotSent = 'missing' | 'no lines' | 'no price' | 'unknown cost';
export type SendOutcome = 'sent' | 'stale' | NotSent;

/** A draft as it would be sent: what the client reads, what the owner keeps, and the revision it was made from. */
export interface Frozen {
	readonly frozen: FrozenQuote;
	readonly owner: FrozenOwner;
	readonly revision: number;
}

export interface Freezing {
	readonly id: string;
	readonly evenUnknown: boolean;
	readonly now: Date;
}

/**
 * Freezes a draft as the client will read it. A quote without lines or price is not sent, nor one with unknown costs unless
 * the owner has said she means it.
 */
export async function freezeQuote(
	repos: Repos,
	{ id, evenUnknown, now }: Freezing
): Promise<Frozen | NotSent | 'sent'> {
	const [quote, studio] = await Promise.all([repos.quotes.find(id), loadStudio(repos)]);
	if (!quote) return 'missing';
	if (quote.state !== 'draft') return 'sent';
	if (quote.lines.length + (quote.terms.typed?.length ?? 0) === 0) return 'no lines';
	const { items, terms, exempt, context, facts } = await studied(
		repos,
		quote,
		studio,
		await orderBook(repos, studio, now)
	);
	const offers = isChoosing(items, terms) ? offersOf(items, terms, context, facts) : undefined;
	// What is offered first is the quote as it stands.
	const priced = offers?.[0]?.priced ?? priceQuote(items, terms, context, facts);
	if (priced.cost.unknown.length > 0 && !evenUnknown) return 'unknown cost';
	const { price } = priced;
	const covers = await coversOf(repos, quote.lines);
	const revision = (quote.issued?.number ?? 0) + 1;
	const frozen = freeze({
		covers,
		revision,
		offers,
		exempt,
		number: quote.number,
		clientName: quote.clientName,
		eventDate: quote.eventDate,
		zone: quote.zone,
		terms,
		priced,
		settings: studio.settings,
		catalogue: context.catalogue,
		sentAt: now.toISOString(),
		validUntil: validUntil(now, quote.terms.validDays, studio.settings.zone)
	});
	if (!frozen || price.status === 'refused') return 'no price';
	const owner: FrozenOwner = {
		cost: priced.cost.known,
		unknown: priced.cost.unknown,
		margin: price.margin ?? null,
		profit: price.profit,
		versions: quote.lines.map((l) => l.versionId),
		worked: {
			net: price.net.minor,
			hours: priced.effort.hours,
			ownHour: priced.earnings?.ownHour ?? null,
			ownHours: priced.effort.ownHours,
			feet: priced.effort.feet,
			balloons: priced.effort.balloons
		},
		...(offers ? { glance: glanceOf(offers, terms) } : {})
	};
	return { frozen, owner, revision: quote.revision };
}

/** Freezes a draft and sends it. @param freezing where that is done: it takes long where garlands are packed */
export async function sendQuote(
	repos: Repos,
	{ token, ...wanted }: Freezing & { readonly token: string },
	freezing: (wanted: Freezing) => ReturnType<typeof freezeQuote> = (w) => freezeQuote(repos, w)
): Promise<SendOutcome> {
	const made = await freezing(wanted);
	return typeof made === 'string' ? made : repos.quotes.send(wanted.id, { ...made, token }, wanted.now);
}

/** The photo that stands for the design of each line, by the line's id. */
async function coversOf(repos: Repos, lines: readonly ReadLine[]): Promise<ReadonlyMap<string, string>> {
	const designs = new Map<string, string>();
	for (const { id, versionId } of lines) {
		const version = await repos.designs.version(versionId);
		if (version) designs.set(id, version.design);
	}
	const covers = await repos.photos.covers([...new Set(designs.values())]);
	return new Map(
		[...designs].flatMap(([line, design]) => {
			const cover = covers.get(design);
			return cover ? [[line, cover.id] as const] : [];
		})
	);
}

/** What a new quote starts with, from the workspace's way of pricing. */
export const newTerms = ({ rates }: Settings): QuoteTerms => ({
	...plainTerms(rates),
	rush: '0',
	discount: null,
	validDays: 14
});

const NOT_SAVED = {
	stale: {
		status: 409,
		message:
			'This quote was changed somewhere else. Reload the page to see it; what you typed stays in this tab until then.'
	},
	sent: { status: 409, message: 'This quote has been sent and does not change any more.' },
	missing: { status: 404, message: 'There is no such quote.' }
} as const;

/** Why a quote was not saved: an HTTP status, a sentence, and one for each field that cannot be read. */
export interface NotSaved {
	readonly status: number;
	readonly message: string;
	readonly errors?: ReturnType<typeof readQuote>['errors'];
}

/**
 * Saves a draft as it stands in its fields.
 * @param save made at the client: the same save sent again is answered, not done again
 * @returns the revision it has now, or why it was not saved
 */
export async function saveQuote(
	repos: Repos,
	id: string,
	{
		raw,
		baseRevision,
		saveId
	}: { readonly raw: RawQuote; readonly baseRevision: number; readonly saveId: string }
): Promise<{ readonly revision: number } | NotSaved> {
	const { settings } = await loadStudio(repos);
	const { errors, value } = readQuote(raw, {
		currency: settings.rates.currency,
		style: { decimal: settings.decimal }
	});
	if (!value) return { status: 400, message: 'Some fields cannot be read.', errors };
	if (!Intl.supportedValuesOf('timeZone').includes(value.zone))
		return { status: 400, message: 'There is no such time zone.' };
	for (const { versionId } of value.lines)
		if (!(await repos.designs.version(versionId)))
			return { status: 400, message: 'A line names a design that is not kept.' };
	const outcome = await repos.quotes.save(id, value, { baseRevision, saveId, newId: crypto.randomUUID() });
	return outcome === 'saved' ? { revision: baseRevision + 1 } : NOT_SAVED[outcome];
}

/** Begins a quote for a client, with a design on it where one is said. @returns its id */
export async function beginQuote(
	repos: Repos,
	{
		id,
		client,
		design,
		colourwayId,
		sizeId
	}: {
		readonly id: string;
		readonly client: string;
		readonly design: string;
		readonly colourwayId: string | null;
		readonly sizeId: string | null;
	},
	now: Date
): Promise<string> {
	const { settings } = await loadStudio(repos);
	const line = (await repos.quotes.offered()).find((o) => o.design === design);
	const clientId = await repos.clients.named(client, crypto.randomUUID());
	const lines = line
		? [{ id: crypto.randomUUID(), versionId: line.versionId, colourwayId, sizeId, quantity: 1, way: null }]
		: [];
	const terms = newTerms(settings);
	await repos.quotes.create(id, { clientId, eventDate: null, zone: settings.zone, terms, lines }, now);
	return id;
}

/**
 * Begins a quote from another: its client, lines and terms, on no day yet. Repeating it with the same id changes nothing.
 * @returns its id; nothing where there is no such quote
 */
export async function copyQuote(
	repos: Repos,
	from: string,
	{ id, eventDate = null }: { readonly id: string; readonly eventDate?: string | null },
	now: Date
): Promise<string | undefined> {
	const quote = await repos.quotes.find(from);
	if (!quote) return undefined;
	const { clientId, zone, terms } = quote;
	const all = [...quote.lines.map((l) => l.id), ...(terms.typed ?? []).map((t) => t.id)];
	const fresh = new Map(all.map((old) => [old, crypto.randomUUID() as string]));
	const of = (old: string) => fresh.get(old) ?? old;
	const copied: QuoteTerms = {
		...terms,
		...(terms.typed ? { typed: terms.typed.map((t) => ({ ...t, id: of(t.id) })) } : {}),
		...(terms.order ? { order: terms.order.map(of) } : {}),
		...(terms.place
			? { place: { ...terms.place, pieces: terms.place.pieces.map((p) => ({ ...p, line: of(p.line) })) } }
			: {}),
		...(terms.about
			? { about: Object.fromEntries(Object.entries(terms.about).map(([old, said]) => [of(old), said])) }
			: {})
	};
	const lines = quote.lines.map((l) => ({ ...l, id: of(l.id) }));
	await repos.quotes.create(id, { clientId, eventDate, zone, terms: copied, lines }, now);
	return id;
}

/** What a quote would come to at today's prices: for the owner, beside what it was frozen at. */
export async function quoteToday(
	repos: Repos,
	{ id }: { readonly id: string }
): Promise<{ readonly total: number; readonly cost: number; readonly margin: number | null } | null> {
	const [quote, studio] = await Promise.all([repos.quotes.find(id), loadStudio(repos)]);
	if (!quote) return null;
	const { price, cost } = await workOutQuote(repos, quote, studio, await orderBook(repos, studio));
	if (price.status === 'refused') return null;
	return { total: price.total.minor, cost: cost.known.minor, margin: price.margin ?? null };
}
