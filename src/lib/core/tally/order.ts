import { bill, type Bill } from '../bom/bill.ts';
import { countDesigns, explode, workOn, type DesignCount } from '../bom/explode.ts';
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
	const { rates, catalogue, library } = context;
	const { pumps, standards } = rates;
	const designs = items.map(({ recipe, colourway, size = null, quantity }): DesignCount[] | undefined => {
		try {
			return countDesigns({ recipe, colourway, size, quantity: rational(quantity), pumps }, library);
		} catch (error) {
			if (error instanceof DomainError) return undefined;
			throw error;
		}
	});
	const needs = designs.flatMap((own, line) => explode(own ?? []).map((need) => ({ ...need, line })));
	const work = designs.map((own) => workOn(own ?? [], leftAs));
	const counted = bill(needs, { ...rates, catalogue });
	const made = cost(counted, timeAll(work.flat(), standards), rates);
	const shares = splitCost(
		made,
		counted,
		work.map((own) => timeAll(own, standards))
	);
	const lost = items.flatMap(({ recipe }, i) => (designs[i] ? [] : [recipe.name]));
	return {
		bill: counted,
		cost: { ...made, total: { ...made.total, unknown: [...new Set([...made.total.unknown, ...lost])] } },
		items: shares.map((share, i) => (designs[i] ? share : { ...share, unknown: [items[i]!.recipe.name] }))
	};
}
