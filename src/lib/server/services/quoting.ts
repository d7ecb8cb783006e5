import { CalendarDate, parseAbsolute, toCalendarDate } from '@internationalized/date';
import { freeze } from '../../core/quote/freeze.ts';
import type { FrozenOwner, FrozenQuote } from '../../core/quote/frozen.ts';
import { priceQuote, quoteItems, type PricedQuote, type QuoteTerms } from '../../core/quote/quote.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { catalogue } from '../../core/materials/catalogue.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Repos } from '../repos/index.ts';
import type { Quote, QuoteLine } from '../repos/quotes.ts';
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

export async function workOutQuote(repos: Repos, quote: Quote, studio: Studio): Promise<PricedQuote> {
	const page = await recipePage(
		repos,
		quote.lines.map((l) => l.versionId)
	);
	const recipes = new Map(page.recipes);
	const items = quoteItems(quote.lines, (id) => recipes.get(id));
	return priceQuote(items, quote.terms, contextOf(studio, new Map(page.library)));
}

/** The last calendar day an offer stands, where the business is. */
export function validUntil(now: Date, days: number, zone: string): string {
	const today = toCalendarDate(parseAbsolute(now.toISOString(), zone));
	return new CalendarDate(today.year, today.month, today.day).add({ days }).toString();
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
	if (quote.lines.length === 0) return 'no lines';
	const priced = await workOutQuote(repos, quote, studio);
	if (priced.cost.unknown.length > 0 && !evenUnknown) return 'unknown cost';
	const { price } = priced;
	const covers = await coversOf(repos, quote.lines);
	const frozen = freeze({
		covers,
		number: quote.number,
		clientName: quote.clientName,
		eventDate: quote.eventDate,
		zone: quote.zone,
		terms: quote.terms,
		priced,
		settings: studio.settings,
		catalogue: catalogue(studio.materials, studio.colours),
		sentAt: now.toISOString(),
		validUntil: validUntil(now, quote.terms.validDays, studio.settings.zone)
	});
	if (!frozen || price.status === 'refused') return 'no price';
	const owner: FrozenOwner = {
		cost: priced.cost.known,
		unknown: priced.cost.unknown,
		margin: price.margin ?? null,
		profit: price.profit,
		versions: quote.lines.map((l) => l.versionId)
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
async function coversOf(repos: Repos, lines: readonly QuoteLine[]): Promise<ReadonlyMap<string, string>> {
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
export function newTerms(settings: Settings): QuoteTerms {
	const { price } = settings.rates;
	return {
		occasion: '',
		venue: '',
		setting: 'indoor',
		// Nothing is said of the delivery yet: its cost is unknown, not 0.
		deliveryMinor: null,
		deliveryCostMinor: null,
		method: price.method,
		margin: price.margin,
		markup: price.markup,
		rush: '0',
		discount: null,
		tax: price.tax.percent,
		deposit: price.deposit,
		validDays: 14,
		note: '',
		climate: null
	};
}
