import { checkBill } from '../checks/bill.ts';
import { bill, type Bill } from '../bom/bill.ts';
import { countDesigns, drawable, explode, pacedWork, workOn } from '../bom/explode.ts';
import type { Library } from '../recipe/library.ts';
import { cost, type Cost } from '../cost/cost.ts';
import type { Rates } from '../cost/rates.ts';
import { DomainError } from '../errors.ts';
import type { JobCost } from '../cost/job-cost.ts';
import { timeAll, type TimedTask } from '../labour/standards.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { add, subtract, type Money } from '../money/money.ts';
import type { Basis } from '../pricing/basis.ts';
import { basisOf, classOf, usualJob } from './piece-basis.ts';
import type { PriceMethod } from '../pricing/methods.ts';
import { earningsOf, effortOf, type Earnings } from '../pricing/earnings.ts';
import { jobOrder } from '../pricing/job-order.ts';
import { price, priceOrder, type Price } from '../pricing/price.ts';
import { NO_FACTS } from '../pricing/rules.ts';
import { pieceTerms, wayOf, wayOfClass, type PriceTerms, type Way } from '../pricing/terms.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { carriedBy } from '../recipe/fit-limbs.ts';
import { resolve } from '../recipe/resolve.ts';
import type { Packed } from '../structures/run/pack-job.ts';
import { assemble, type Assembly } from '../assembly/assemble.ts';
import type { PlacedStack } from '../structures/stack/placed.ts';
import { rational } from '../units/rational.ts';
import { checkBalance } from '../checks/balance.ts';
import { checkColours } from '../checks/colours.ts';
import { checkFloor } from '../checks/floor.ts';
import { checkSteps } from '../checks/steps.ts';
import type { Finding } from '../checks/finding.ts';
import { isSilenced } from '../checks/silence.ts';
import { checkStanding } from '../checks/standing.ts';
import { check } from '../structures/registry/check.ts';

export interface TallyContext {
	readonly catalogue: Catalogue;
	readonly rates: Rates;
	readonly library: Library;
	/** Packed pictures of organic runs; without them those are drawn roughly. */
	readonly packed?: Packed | undefined;
}

/** Everything worked out from one recipe. The Bench, quotes, lists and the quick price all read this. */
export interface Tally {
	/** Every section where it stands, designs inside it included. */
	readonly assembly: Assembly;
	/** The stacks of the design itself. */
	readonly stacks: readonly { readonly section: Id; readonly placed: PlacedStack }[];
	readonly bill: Bill;
	/** The recipe as it is built: in its size, without the slots left out; and what had to change for it, in words. */
	readonly built: Recipe;
	readonly notes: readonly string[];
	readonly tasks: readonly TimedTask[];
	readonly cost: Cost;
	readonly terms: PriceTerms;
	/** Of the pieces by themselves: what belongs to an order is not in it. */
	readonly price: Price;
	/** What the job takes around them, as the studio's usual job. */
	readonly job: JobCost;
	/** Of a job of just these: the work around it, the road and what belongs to an order are in it. */
	readonly order: Price;
	/** What that job earns; null where it has no price. */
	readonly earnings: Earnings | null;
	/** The price of the pieces at both ends of what estimated counts may cost; null where nothing is estimated. */
	readonly ends: { readonly low: Price; readonly high: Price } | null;
	readonly findings: readonly Finding[];
	/** Findings the owner has answered with a reason. */
	readonly silenced: readonly Finding[];
}

const NOTHING_STANDS: Assembly = {
	pieces: [],
	applied: [],
	lost: [],
	feet: new Map(),
	overall: { usual: 0, known: false }
};
const NO_BILL: Bill = { lines: [], paid: [], inflate: [], balloons: 0, spares: 0 };

/**
 * The one path from a recipe to its bill, labour, cost and price.
 * A recipe that cannot be counted (a cycle, too many balloons) gives an empty bill and a `bad` finding.
 * @param quantity how many of the design, a whole number of 1 or more
 * @param size a size option of the design; null is as it stands
 */
export function tally(
	plain: Recipe,
	colourway: Id | null,
	quantity: number,
	context: TallyContext,
	size: Id | null = null
): Tally {
	const { rates, catalogue, library } = context;
	const findings: Finding[] = [];
	const { recipe, notes } = resolve(plain, { colourway, size }, rates.pumps);
	const wanted = { recipe: plain, colourway, size, quantity: rational(quantity), pumps: rates.pumps };
	const designs = attempt(() => drawable(countDesigns(wanted, library), wanted), findings);
	const counted = designs ? bill(explode(designs), { ...rates, catalogue }) : NO_BILL;
	const { job, crew, bases } = usualJob(rates);
	const tasks = designs
		? timeAll(
				pacedWork(workOn(designs, job.job.template.leftAs, catalogue.materials), rates.jobs),
				rates.standards
			)
		: [];
	const assembly = designs
		? assemble(recipe, colourway, library, rates.pumps, null, context.packed)
		: NOTHING_STANDS;
	const stacks = assembly.pieces.flatMap(({ section, placed }) =>
		section === null ? [] : [{ section, placed }]
	);
	const chosen = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	const costed = cost(counted, tasks, rates);
	// What cannot be counted costs nobody knows what: never nothing.
	const made = designs ? costed : { ...costed, total: { ...costed.total, unknown: [recipe.name] } };
	const terms = termsFor(recipe, rates);
	const basis = basisOf(
		{ built: recipe, cost: costed, quantity, balloons: counted.balloons },
		crew,
		rates.pumps,
		made.total
	);
	findings.push(
		...recipe.sections.flatMap((section) =>
			check(section.structure, {
				recipe,
				section,
				catalogue,
				colourway: chosen,
				rates,
				lost: assembly.lost,
				placed: stacks.find((s) => s.section === section.id)?.placed,
				host: () => carriedBy(recipe, section, rates.pumps)
			})
		),
		...checkBill(counted, made),
		...checkColours(recipe, chosen, catalogue),
		...checkStanding(recipe, assembly, counted, rates),
		...checkFloor(recipe, assembly),
		...checkBalance(recipe, assembly, counted, { quantity, catalogue }),
		...checkSteps(plain)
	);
	// Of what is known of an order here: how many pieces it has.
	const asked = { ...terms, facts: { ...NO_FACTS, pieces: quantity } };
	const order = priceOrder(
		jobOrder([{ cost: made.total, way: wayOf(terms), basis }], job, wayOf(terms), bases),
		asked
	);
	const effort = effortOf([basis, bases.road, bases.rest], made.labourTotal.minor + job.labour.minor, made.overhead.minor + job.overhead.minor); // prettier-ignore
	const silenced = recipe.silenced.length === 0 ? [] : findings.filter((f) => isSilenced(f, recipe.silenced));
	return {
		assembly,
		stacks,
		bill: counted,
		built: recipe,
		notes,
		tasks,
		cost: made,
		terms,
		price: price(made.total, pieceTerms(terms), basis),
		job,
		order,
		earnings:
			order.status === 'priced'
				? earningsOf(order, effort, made.total.known.minor + job.total.minor, terms)
				: null,
		ends: endsOf(made, pieceTerms(terms), basis),
		findings: silenced.length === 0 ? findings : findings.filter((f) => !silenced.includes(f)),
		silenced
	};
}

function endsOf({ total, spread }: Cost, terms: PriceTerms, basis: Basis): Tally['ends'] {
	if (!spread || (spread.less.minor === 0 && spread.more.minor === 0)) return null;
	const at = (known: Money) => price({ ...total, known }, terms, { ...basis, cost: rational(known.minor) });
	return { low: at(subtract(total.known, spread.less)), high: at(add(total.known, spread.more)) };
}

/** The workspace's terms with the recipe's own way of pricing over them, else that of its class. */
export function termsFor(recipe: Pick<Recipe, 'pricing' | 'sections'>, { price: terms }: Rates): PriceTerms {
	const way = recipe.pricing ?? wayOfClass(terms, classOf(recipe));
	return way ? withWay(terms, way) : terms;
}

export const withWay = (
	terms: PriceTerms,
	{ method, percent }: Way & { readonly method: PriceMethod }
): PriceTerms => ({
	...terms,
	method,
	[method]: percent
});

function attempt<T>(work: () => T, findings: Finding[]): T | undefined {
	try {
		return work();
	} catch (error) {
		if (!(error instanceof DomainError)) throw error;
		const say: Partial<Record<DomainError['code'], string>> = {
			cycle: `This design contains itself: ${error.message}. Take one of them out.`,
			'too-many': `That is ${error.message}. Lower a count or a repeat.`,
			'not-found': `${error.message}. Keep that design first.`
		};
		const code = error.code === 'cycle' || error.code === 'too-many' ? error.code : 'not-found';
		findings.push({ code, level: 'bad', say: say[error.code] ?? error.message });
		return undefined;
	}
}
