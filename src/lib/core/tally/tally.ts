import { bill, type Bill } from '../bom/bill.ts';
import { countDesigns, drawable, explode, workOf } from '../bom/explode.ts';
import type { Library } from '../recipe/library.ts';
import { cost, type Cost } from '../cost/cost.ts';
import type { Rates } from '../cost/rates.ts';
import { DomainError } from '../errors.ts';
import { timeAll, type TimedTask } from '../labour/standards.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { add, subtract, type Money } from '../money/money.ts';
import { price, type Price } from '../pricing/price.ts';
import { pieceTerms, type PriceTerms, type Way } from '../pricing/terms.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { resolve } from '../recipe/resolve.ts';
import type { Packed } from '../structures/run/pack-job.ts';
import { assemble, type Assembly } from '../assembly/assemble.ts';
import type { PlacedStack } from '../structures/stack/placed.ts';
import { rational } from '../units/rational.ts';
import { checkStack } from '../structures/stack/check.ts';
import { checkParts } from '../checks/parts.ts';
import { checkPieces } from '../checks/pieces.ts';
import { checkRuns } from '../checks/runs.ts';
import { checkColours } from '../checks/colours.ts';
import { checkSteps } from '../checks/steps.ts';
import { findingKey, type Finding } from '../checks/finding.ts';

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
	/** The recipe as it is built: in its size, without the slots left out; and what gave way for it, in words. */
	readonly built: Recipe;
	readonly notes: readonly string[];
	readonly tasks: readonly TimedTask[];
	readonly cost: Cost;
	readonly terms: PriceTerms;
	/** Of the pieces by themselves: what belongs to an order is not in it. */
	readonly price: Price;
	/** Of an order of just these. */
	readonly order: Price;
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
const NO_BILL: Bill = { lines: [], inflate: [], balloons: 0, spares: 0 };

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
	const tasks = designs ? timeAll(workOf(designs), rates.standards) : [];
	const assembly = designs
		? assemble(recipe, colourway, library, rates.pumps, null, context.packed)
		: NOTHING_STANDS;
	const stacks = assembly.pieces.flatMap(({ section, placed }) =>
		section === null ? [] : [{ section, placed }]
	);
	const chosen = recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0];
	for (const { section, placed } of stacks) {
		const structure = recipe.sections.find((s) => s.id === section)!.structure;
		if (structure.kind !== 'stack') continue;
		findings.push(...checkStack(section, structure, placed, { catalogue, colourway: chosen, rates }));
	}
	const costed = cost(counted, tasks, rates);
	// What cannot be counted costs nobody knows what: never nothing.
	const made = designs ? costed : { ...costed, total: { ...costed.total, unknown: [recipe.name] } };
	const terms = termsFor(recipe, rates);
	findings.push(
		...checkBill(counted, made),
		...checkColours(recipe, chosen, catalogue),
		...checkParts(recipe, assembly, { catalogue, colourway: chosen, rates }),
		...checkRuns(recipe, { catalogue, colourway: chosen, rates }),
		...checkPieces(recipe, assembly, { catalogue, rates, bill: counted }),
		...checkSteps(plain)
	);
	const hushed = new Set(recipe.silenced.map((s) => s.finding));
	return {
		assembly,
		stacks,
		bill: counted,
		built: recipe,
		notes,
		tasks,
		cost: made,
		terms,
		price: price(made.total, pieceTerms(terms)),
		order: price(made.total, terms),
		ends: endsOf(made, pieceTerms(terms)),
		findings: findings.filter((f) => f.level === 'bad' || !hushed.has(findingKey(f))),
		silenced: findings.filter((f) => f.level !== 'bad' && hushed.has(findingKey(f)))
	};
}

function endsOf({ total, spread }: Cost, terms: PriceTerms): Tally['ends'] {
	if (!spread || (spread.less.minor === 0 && spread.more.minor === 0)) return null;
	const at = (known: Money) => price({ ...total, known }, terms);
	return { low: at(subtract(total.known, spread.less)), high: at(add(total.known, spread.more)) };
}

/** The workspace's terms with the recipe's own way of pricing over them. */
export const termsFor = ({ pricing }: Pick<Recipe, 'pricing'>, { price: terms }: Rates): PriceTerms =>
	pricing ? withWay(terms, pricing) : terms;

export const withWay = (terms: PriceTerms, { method, percent }: Way): PriceTerms => ({
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

function checkBill(counted: Bill, made: Cost): Finding[] {
	if (counted.lines.length === 0) {
		return [
			{
				code: 'empty',
				level: 'watch',
				say: 'Nothing in this design yet. Say the lowest layer, like “4 16 at 13 grey”.'
			}
		];
	}
	const findings: Finding[] = [];
	for (const line of counted.lines) {
		if (line.balloon && line.status === 'listed' && line.loss === 0) {
			findings.push({
				code: 'no-spare',
				level: 'watch',
				say: `${line.label}: its loss is set to 0, so not one spare is counted. Say what you lose of it at the Stockroom.`,
				why: 'One that bursts on the day is missing in the piece.'
			});
		}
		if (line.status === 'open' && line.balloon) {
			findings.push({
				code: 'open-slot',
				level: 'watch',
				say: `${line.label}: no colour chosen in this colourway, so its cost is unknown.`
			});
		} else if (line.status !== 'listed') {
			findings.push({
				code: 'unlisted',
				level: 'watch',
				say: `${line.label} is not in the Stockroom, so its cost is unknown. Add it there.`
			});
		} else if (made.total.unknown.includes(line.label)) {
			findings.push({
				code: 'unknown-cost',
				level: 'watch',
				say: `${line.label} has no pack price, so its cost is unknown. Fill it in at the Stockroom.`
			});
		}
	}
	return findings;
}
