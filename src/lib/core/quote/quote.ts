import type { PriceMethod } from '../pricing/methods.ts';
import { join, type Amount } from '../cost/amount.ts';
import { jobCost, type JobCost } from '../cost/job-cost.ts';
import { crewFor, paidOf, type Rates } from '../cost/rates.ts';
import { AS_USUAL, jobOf, placeOf, templateOf, type JobPlan, type LeftAs } from '../labour/job.ts';
import type { Crew } from '../labour/people.ts';
import type { Basis } from '../pricing/basis.ts';
import { earningsOf, effortOf, type Earnings, type Effort } from '../pricing/earnings.ts';
import { jobOrder } from '../pricing/job-order.ts';
import type { QuoteClimate } from './climate.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { add, money, rounded, zero, type Money } from '../money/money.ts';
import { priceOrder, type Order, type Price } from '../pricing/price.ts';
import { NO_FACTS, type OrderFacts } from '../pricing/rules.ts';
import { wayOf, wayOfClass, type Discount, type PriceTerms, type Way } from '../pricing/terms.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tallyOrder, type TalliedOrder } from '../tally/order.ts';
import { basisOf, classOf, jobBasis } from '../tally/piece-basis.ts';
import { tally, type Tally, type TallyContext } from '../tally/tally.ts';
import type { RationalText } from '../units/rational.ts';
import type { Ground } from '../document/ground.ts';
import { standingOn } from '../recipe/on-ground.ts';
import { withOwnSlots } from './own-slots.ts';
import type { Place } from './place.ts';
import {
	chosenIds,
	inOrder,
	plainSelection,
	type Offered,
	type Selection,
	type TypedLine
} from './choices.ts';

/** What a quote says beside its lines. */
export interface QuoteTerms extends Offered {
	readonly occasion: string;
	readonly venue: string;
	readonly setting: 'indoor' | 'outdoor';
	/** Charged for delivery as it is said; null is priced by the quote's way from what it costs. */
	readonly deliveryMinor: number | null;
	/** What the delivery costs the studio; null is what the drive and the van come to. */
	readonly deliveryCostMinor: number | null;
	readonly method: PriceMethod;
	readonly margin: RationalText;
	readonly markup: RationalText;
	readonly rush: RationalText;
	readonly discount: Discount | null;
	readonly tax: RationalText;
	readonly deposit: RationalText;
	readonly validDays: number;
	readonly note: string;
	/** The day at the venue; quotes from before it was asked say nothing. */
	readonly climate?: QuoteClimate | null | undefined;
	/** What the job takes around its pieces; quotes from before it was asked are usual jobs. */
	readonly job?: JobPlan | null | undefined;
	/** For the owner alone. */
	readonly self?: string | undefined;
	/** The client's place with the pieces in it. */
	readonly place?: Place | undefined;
}

/** A line with the recipe it reads. */
export interface QuoteItem {
	readonly id: string;
	readonly recipe: Recipe;
	readonly colourway: string | null;
	/** A size option; none is as it stands. */
	readonly size?: string | null;
	readonly quantity: number;
	/** What it stands on there; nothing is as usual. */
	readonly ground?: Ground | undefined;
	/** How this line is priced; none is as its design says. */
	readonly way?: LineWay | null;
}

/** Lines of a quote with the recipes they read, in their own colours where they have any; one whose recipe is not there is left out. */
export const quoteItems = (
	lines: readonly (Pick<QuoteItem, 'id' | 'quantity' | 'way'> & {
		readonly versionId: string;
		readonly colourwayId: string | null;
		readonly sizeId: string | null;
	})[],
	recipeOf: (versionId: string) => Recipe | undefined,
	{ about = {} }: Offered = {}
): QuoteItem[] =>
	lines.flatMap(({ id, versionId, colourwayId, sizeId: size, quantity, way }) => {
		const recipe = recipeOf(versionId);
		if (!recipe) return [];
		const { ground, slots } = about[id] ?? {};
		return [
			{ id, ...withOwnSlots(standingOn(recipe, ground), colourwayId, slots), size, quantity, ground, way }
		];
	});

/** A way said for one line: that of the quote though its design has one of its own, or one for this line only. */
export type LineWay = 'quote' | Way;

/** Where the way of a line comes from, for the tape. */
export type WayFrom = 'quote' | 'design' | 'kind' | 'line';

export interface QuotedLine {
	readonly item: QuoteItem;
	readonly tally: Tally;
	/** What all of them take of the cost of the whole quote. */
	readonly cost: Amount;
	readonly basis: Basis;
	readonly way: Way;
	readonly from: WayFrom;
	/** Straight from its way of pricing, before the steps of the price. */
	readonly base: Money;
	/** What the client sees beside the line: the parts sum to the stated total. */
	readonly shown: Money;
	/** Its own rate of tax; nothing is the quote's. */
	readonly tax?: RationalText | undefined;
}

/** A line that is no design, as it is priced. */
export interface QuotedTyped {
	readonly line: TypedLine;
	readonly cost: Amount;
	readonly base: Money;
	readonly shown: Money;
	readonly tax?: RationalText | undefined;
}

export interface PricedQuote {
	/** Designs that are on it as chosen. */
	readonly lines: readonly QuotedLine[];
	readonly typed: readonly QuotedTyped[];
	readonly delivery: Money;
	/** What the job costs around its pieces. */
	readonly job: JobCost;
	/** The pieces alone: one bill, one batch a size. */
	readonly made: TalliedOrder;
	/** As it was priced, for other ways of pricing it. */
	readonly order: Order;
	readonly terms: PriceTerms;
	readonly crew: Crew;
	readonly effort: Effort;
	/** Null where it has no price. */
	readonly earnings: Earnings | null;
	/** Pieces, the work around them and the road. */
	readonly cost: Amount;
	readonly price: Price;
	/** Taken off, as a positive amount. */
	readonly discount: Money;
	/** Lines and delivery before the discount; what the client's lines sum to. */
	readonly subtotal: Money;
}

/** Terms for a client who pays no tax: the quote keeps its rate for when they do. @param exempt why; nothing is they do */
export function taxedFor(terms: QuoteTerms, exempt: string | undefined): QuoteTerms {
	if (!exempt) return terms;
	const { about } = terms;
	const untaxed = about && Object.entries(about).map(([id, line]) => [id, { ...line, tax: undefined }]);
	return { ...terms, tax: '0', ...(untaxed && { about: Object.fromEntries(untaxed) }) };
}

/** The workspace's terms with the quote's over them. */
export function quoteTerms(base: PriceTerms, terms: QuoteTerms, facts?: OrderFacts): PriceTerms {
	const { method, margin, markup, rush, discount, deposit } = terms;
	return {
		...base,
		method,
		margin,
		markup,
		rush,
		discount,
		deposit,
		facts,
		tax: { ...base.tax, percent: terms.tax }
	};
}

/** How a line is priced: as said for it, else as its design says, else as its kind of piece, else as the quote. */
export function wayOfLine({ way, recipe }: QuoteItem, terms: PriceTerms): { way: Way; from: WayFrom } {
	if (way && way !== 'quote') return { way, from: 'line' };
	if (recipe.pricing && way !== 'quote') return { way: recipe.pricing, from: 'design' };
	const ofKind = way === 'quote' ? undefined : wayOfClass(terms, classOf(recipe));
	return ofKind ? { way: ofKind, from: 'kind' } : { way: wayOf(terms), from: 'quote' };
}

/** The studio's figures with who is on this job, and with what kind of job it is where that tells how long work takes. */
function ratesOn({ job }: QuoteTerms, rates: Rates): Rates {
	const own = job?.crew ? { ...rates, crew: job.crew } : rates;
	const { jobs } = rates;
	const at = templateOf(job ?? AS_USUAL, jobs).id;
	return !jobs.paces?.length || at === placeOf(jobs) ? own : { ...own, jobs: { ...jobs, at } };
}

const crewed = new WeakMap<TallyContext, { readonly crew: string; readonly context: TallyContext }>();
/** The same with all else it is worked out from; the same for the same people. */
export function contextOn(terms: QuoteTerms, context: TallyContext): TallyContext {
	const rates = ratesOn(terms, context.rates);
	if (rates === context.rates) return context;
	const crew = `${rates.crew.join()}/${placeOf(rates.jobs)}`;
	const before = crewed.get(context);
	if (before?.crew === crew) return before.context;
	const own = { ...context, rates };
	crewed.set(context, { crew, context: own });
	return own;
}

interface Counted {
	readonly order: TalliedOrder;
	readonly tallies: readonly Tally[];
}
interface CountedBefore extends Counted {
	readonly items: readonly QuoteItem[];
	readonly leftAs: LeftAs;
}
/** What was counted last, the latest first: a quote as it stands, and with each thing that may be chosen of it. */
const countedBefore = new WeakMap<TallyContext, readonly CountedBefore[]>();
/** Ways one quote stands that are remembered. */
const MOST_COUNTED = 64;
const isSame = (a: QuoteItem, b: QuoteItem | undefined): boolean =>
	a.recipe === b?.recipe &&
	a.colourway === b.colourway &&
	(a.size ?? null) === (b.size ?? null) &&
	a.quantity === b.quantity;

/** What is on a quote, counted: as it was where only its terms are others, and each line that is as it was. */
function counted(items: readonly QuoteItem[], context: TallyContext, leftAs: LeftAs): Counted {
	const before = countedBefore.get(context) ?? [];
	const same = before.find(
		(b) =>
			b.leftAs === leftAs &&
			b.items.length === items.length &&
			items.every((item, i) => isSame(item, b.items[i]))
	);
	if (same) return same;
	const known = (item: QuoteItem): Tally | undefined => {
		for (const { items: own, tallies } of before) {
			const at = own.findIndex((other) => isSame(item, other));
			if (at >= 0) return tallies[at];
		}
		return undefined;
	};
	const tallies = items.map((item) => {
		const { recipe, colourway, quantity, size = null } = item;
		return known(item) ?? tally(recipe, colourway, quantity, context, size);
	});
	const next = { items, leftAs, tallies, order: tallyOrder(items, context, leftAs) };
	countedBefore.set(context, [next, ...before].slice(0, MOST_COUNTED));
	return next;
}

/** What is on a quote as chosen: designs, and lines that are none. */
function chosenOf(all: readonly QuoteItem[], terms: QuoteTerms, selection: Selection) {
	const { typed = [] } = terms;
	if (typed.length === 0 && !terms.about) return { items: all, typed };
	const ids = inOrder(
		[...all, ...typed].map((l) => l.id),
		terms.order
	);
	const on = chosenIds(terms, ids, selection);
	return { items: all.filter((i) => on.has(i.id)), typed: typed.filter((t) => on.has(t.id)) };
}

/** What a line that is no design costs: as said, else a use of its material, else nothing. */
export function costOfTyped(
	{ quantity, costMinor, material, label }: TypedLine,
	{ catalogue, rates }: TallyContext
): Amount {
	const { currency } = rates;
	if (costMinor !== null) return { known: money(quantity * costMinor, currency), unknown: [] };
	if (material === null) return { known: zero(currency), unknown: [] };
	const own = catalogue.materials.get(material);
	const each = own && unitCost(own);
	return each
		? { known: rounded(each.mul(quantity).mul(paidOf(rates)), currency), unknown: [] }
		: { known: zero(currency), unknown: [label] };
}

/** What a quote costs, minor units, all that is known of it: nothing else is worked out. For what-ifs. */
export function costOfQuote(all: readonly QuoteItem[], terms: QuoteTerms, context: TallyContext): number {
	const { items, typed } = chosenOf(all, terms, plainSelection(terms));
	const rates = ratesOn(terms, context.rates);
	const besides = typed.reduce((a, t) => a + costOfTyped(t, context).known.minor, 0);
	const job = jobCost(jobOf(terms.job ?? AS_USUAL, rates.jobs), rates);
	const made = tallyOrder(items, { ...context, rates }, job.job.template.leftAs);
	return made.cost.total.known.minor + besides + job.rest.minor + (terms.deliveryCostMinor ?? job.road.minor);
}

/** A design by itself as a quote: by its own way and the studio's terms, as a usual job. */
export const plainTerms = ({ price }: Rates): QuoteTerms => ({
	occasion: '',
	venue: '',
	setting: 'indoor',
	deliveryMinor: null,
	deliveryCostMinor: null,
	method: price.method,
	margin: price.margin,
	markup: price.markup,
	rush: price.rush,
	discount: price.discount,
	tax: price.tax.percent,
	deposit: price.deposit,
	validDays: 30,
	note: '',
	climate: null,
	job: null
});

/**
 * Prices a whole quote: what all its lines cost together, a price for each by its own way, then the steps of a price.
 * Rush, price point and minimum are shared among the lines by largest remainder, so that what the client reads sums
 * to the cent; delivery stands for itself and the discount on a line of its own.
 * @param selection what is chosen of it; where nothing is, what is usual
 */
export function priceQuote(
	all: readonly QuoteItem[],
	terms: QuoteTerms,
	context: TallyContext,
	facts: Omit<OrderFacts, 'pieces'> = NO_FACTS,
	selection: Selection = plainSelection(terms)
): PricedQuote {
	const { items, typed: besides } = chosenOf(all, terms, selection);
	const { currency, price: base } = context.rates;
	const none = zero(currency);
	const own = contextOn(terms, context);
	const { rates } = own;
	const job = jobCost(jobOf(terms.job ?? AS_USUAL, rates.jobs), rates);
	const crew = crewFor(rates);
	const { order, tallies } = counted(items, own, job.job.template.leftAs);
	const pieces = items.reduce((a, i) => a + i.quantity, 0);
	const priceTerms = quoteTerms(base, terms, { ...facts, pieces });
	const taxOf = (id: string) => terms.about?.[id]?.tax;
	const lines = items.map((item, i) => {
		const one = tallies[i]!;
		const { built, cost, bill } = one;
		const piece = { built, cost, quantity: item.quantity, balloons: bill.balloons };
		const basis = basisOf(piece, crew, rates.pumps, order.items[i]!);
		return {
			item,
			tally: one,
			cost: order.items[i]!,
			basis,
			...wayOfLine(item, priceTerms),
			tax: taxOf(item.id)
		};
	});
	const charge = terms.deliveryMinor === null ? null : money(terms.deliveryMinor, currency);
	const isEmpty = items.length + besides.length === 0;
	const typedLines = besides.map((line) => ({
		line,
		cost: costOfTyped(line, own),
		tax: taxOf(line.id),
		way:
			line.priceMinor === null
				? wayOf(priceTerms)
				: ({ method: 'typed', percent: String(line.quantity * line.priceMinor) } satisfies Way)
	}));
	const said =
		terms.deliveryCostMinor !== null ? money(terms.deliveryCostMinor, currency) : isEmpty ? none : null;
	const road = said ?? job.road;
	const around = isEmpty ? road : add(road, job.rest);
	const cost = typedLines.reduce(
		(a, t) => join(a, t.cost),
		join(order.cost.total, { known: around, unknown: [] })
	);
	const bases = jobBasis(job, crew);
	const asked = jobOrder([...lines, ...typedLines], job, wayOf(priceTerms), bases, { charge, cost: said });
	const price = priceOrder(asked, priceTerms);
	const labour = order.cost.labourTotal.minor + (isEmpty ? 0 : job.labour.minor);
	const overhead = order.cost.overhead.minor + (isEmpty ? 0 : job.overhead.minor);
	const worth = [...lines.map((l) => l.basis), ...(isEmpty ? [] : [bases.road, bases.rest])];
	const effort = effortOf(worth, labour, overhead);
	const earnings = price.status === 'priced' ? earningsOf(price, effort, cost.known.minor, priceTerms) : null;
	const worked = { job, made: order, order: asked, terms: priceTerms, crew, effort, earnings, cost, price };
	if (price.status === 'refused')
		return {
			lines: lines.map((l) => ({ ...l, base: none, shown: none })),
			typed: typedLines.map((t) => ({ ...t, base: none, shown: none })),
			delivery: charge ?? none,
			...worked,
			discount: none,
			subtotal: none
		};
	return {
		lines: lines.map((l, i) => ({ ...l, base: price.lines[i]!.base, shown: price.lines[i]!.shown })),
		typed: typedLines.map((t, i) => {
			const { base: straight, shown } = price.lines[lines.length + i]!;
			return { ...t, base: straight, shown };
		}),
		delivery: price.delivery,
		...worked,
		discount: price.discount,
		subtotal: add(price.said, price.discount)
	};
}
