import { bill, type Bill } from '../bom/bill.ts';
import { countDesigns, explode, pacedWork, workOf, type Exploded, type Work } from '../bom/explode.ts';
import type { KindSeconds } from '../labour/pace.ts';
import { isDone, siteOf } from '../labour/site.ts';
import type { Amount } from '../cost/amount.ts';
import { cost, type Cost } from '../cost/cost.ts';
import { splitCost } from '../cost/split-cost.ts';
import { DomainError } from '../errors.ts';
import { AS_USUAL, jobOf, type LeftAs } from '../labour/job.ts';
import { timeAll } from '../labour/standards.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { rational } from '../units/rational.ts';
import type { TallyContext } from './tally.ts';

/** So many of a design in one of its colourways and sizes. */
export interface OrderItem {
	readonly recipe: Recipe;
	readonly colourway: Id | null;
	readonly size?: Id | null;
	readonly quantity: number;
}

/** An order as it is bought and built: one bill, one batch a size, one cost. */
export interface TalliedOrder {
	readonly bill: Bill;
	readonly cost: Cost;
	/** What each item costs of it; they sum to the cost. */
	readonly items: readonly Amount[];
}

/**
 * Counts several designs together: whole bags are opened once for all of them, losses are expected and spares found
 * over the whole, and tools are set once a size.
 *
 * An item that cannot be counted (a cycle, too many balloons) costs an unknown sum, under its name.
 */
export function tallyOrder(
	items: readonly OrderItem[],
	context: TallyContext,
	leftAs: LeftAs = jobOf(AS_USUAL, context.rates.jobs).template.leftAs
): TalliedOrder {
	const { rates } = context;
	const { standards } = rates;
	const own = items.map((item) => countedLine(item, context));
	const work = own.map((o) =>
		pacedWork(
			(o?.work ?? []).filter(({ task }) => isDone(task, leftAs)),
			rates.jobs
		)
	);
	const counted = billOf(own, context);
	const made = cost(counted, timeAll(work.flat(), standards), rates);
	const shares = splitCost(
		made,
		counted,
		work.map((each) => timeAll(each, standards))
	);
	const lost = items.flatMap(({ recipe }, i) => (own[i] ? [] : [recipe.name]));
	return {
		bill: counted,
		cost: { ...made, total: { ...made.total, unknown: [...new Set([...made.total.unknown, ...lost])] } },
		items: shares.map((share, i) => (own[i] ? share : { ...share, unknown: [items[i]!.recipe.name] }))
	};
}

/** What an order takes alone, without its cost and time. Items that cannot be counted take nothing. */
export const orderBill = (items: readonly OrderItem[], context: TallyContext): Bill =>
	billOf(
		items.map((item) => countedLine(item, context)),
		context
	);

function billOf(own: readonly (CountedLine | undefined)[], { rates, catalogue }: TallyContext): Bill {
	const needs = own.flatMap((o, line) => (o?.needs ?? []).map((need) => ({ ...need, line })));
	return bill(needs, { ...rates, catalogue });
}

/** Seconds at the bench by kind of structure; of what stands on none under a blank. Lines that cannot be counted take none. */
export function buildSeconds(items: readonly OrderItem[], context: TallyContext): KindSeconds[] {
	const { rates } = context;
	const work = items
		.flatMap((item) => countedLine(item, context)?.work ?? [])
		.filter(({ task }) => siteOf(task) === undefined);
	const seconds = (own: readonly Work[]) =>
		timeAll(own, rates.standards).reduce((a, t) => a + t.seconds.valueOf(), 0);
	const kinds = [...new Set(work.map((w) => w.kind))];
	return kinds.map((kind) => {
		const own = work.filter((w) => w.kind === kind);
		return { kind: kind ?? '', base: seconds(own), paced: seconds(pacedWork(own, rates.jobs)) };
	});
}

interface CountedLine {
	readonly needs: readonly Exploded[];
	readonly work: ReturnType<typeof workOf>;
}
interface Kept {
	readonly library: TallyContext['library'];
	readonly catalogue: TallyContext['catalogue'];
	readonly pumps: TallyContext['rates']['pumps'];
	readonly lines: Map<string, CountedLine | undefined>;
}
/** Lines as they were counted last, by their recipe: recipes never change, and a keystroke changes one line at most. */
const kept = new WeakMap<Recipe, Kept>();
/** Ways one recipe stands on an order that are remembered. */
const MOST_KEPT = 32;

/** What one line takes and asks of hands; undefined where it cannot be counted. */
function countedLine(
	{ recipe, colourway, size = null, quantity }: OrderItem,
	{ library, catalogue, rates: { pumps } }: TallyContext
): CountedLine | undefined {
	let found = kept.get(recipe);
	const isOther = found?.library !== library || found.catalogue !== catalogue || found.pumps !== pumps;
	if (!found || isOther || found.lines.size >= MOST_KEPT) {
		found = { library, catalogue, pumps, lines: new Map() };
		kept.set(recipe, found);
	}
	const key = `${colourway}/${size}/${quantity}`;
	if (!found.lines.has(key)) found.lines.set(key, count());
	return found.lines.get(key);

	function count(): CountedLine | undefined {
		try {
			const wanted = { recipe, colourway, size, quantity: rational(quantity), pumps };
			const designs = countDesigns(wanted, library);
			return { needs: explode(designs), work: workOf(designs, catalogue.materials) };
		} catch (error) {
			if (error instanceof DomainError) return undefined;
			throw error;
		}
	}
}
