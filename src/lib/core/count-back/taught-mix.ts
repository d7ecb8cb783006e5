import { paceFrom } from '../job/taught.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { certainOf } from '../structures/registry/certain.ts';
import type { TallyContext } from '../tally/tally.ts';
import type { Micrometres } from '../units/length.ts';
import { rational, type Rational } from '../units/rational.ts';
import { countLines, type CountLine } from './count-lines.ts';

/** Balloons of one size on one job that was a design alone, pieces: as reckoned then, and as used; what was lost is no use. */
export interface SizeSeen {
	readonly job: string;
	readonly nominal: Micrometres;
	readonly reckoned: number;
	readonly used: number;
}

/** What jobs taught of how many balloons of one size a design takes. */
export interface SizeTaught {
	readonly nominal: Micrometres;
	readonly jobs: number;
	/** Times what its recipe says, and where that lies with nine chances in ten. */
	readonly times: number;
	readonly low: number;
	readonly high: number;
	/** Balloons for one, as the recipe says and as it would say. */
	readonly before: number;
	readonly after: number;
}

/** One of it, in its first colours. */
const ONE = { size: null, quantity: 1 };
const linesOf = (recipe: Recipe, context: TallyContext) =>
	countLines(recipe, { ...ONE, colourway: recipe.colourways[0]?.id ?? null }, context).filter(
		(l) => l.what === 'balloon'
	);
/** The nominal size in the key of a balloon. */
const nominalOf = ({ key }: CountLine): Micrometres => Number(key.split('/')[1]) as Micrometres;

/**
 * Lines of the sizes that only mixes of garlands take: how many of those go on a foot is an estimate. A size that rows or
 * designs inside take as well is counted there, and not told apart.
 * @throws {DomainError} as `countLines`
 */
function estimatedLines(recipe: Recipe, context: TallyContext): CountLine[] {
	const sections = recipe.sections.map((s) => ({ ...s, structure: certainOf(s.structure) }));
	if (sections.every((s, i) => s.structure === recipe.sections[i]!.structure)) return [];
	const bare: Recipe = { ...recipe, sections };
	const certain = new Set(linesOf(bare, context).map(nominalOf));
	return linesOf(recipe, context).filter((l) => !certain.has(nominalOf(l)));
}

const taken = ({ recipe }: CountLine, times: number): Rational =>
	rational(Math.round(recipe.valueOf() * times));

/**
 * What jobs make of the balloons a foot of a design's garlands, size by size: the posterior of `paceFrom`, what the recipe
 * says weighing as much as six jobs.
 * @param seen jobs that were this very version of the design alone
 * @throws {DomainError} as `countLines`
 */
export function taughtMix(recipe: Recipe, seen: readonly SizeSeen[], context: TallyContext): SizeTaught[] {
	const lines = estimatedLines(recipe, context);
	return [...new Set(lines.map(nominalOf))].flatMap((nominal): SizeTaught[] => {
		const own = seen.filter((s) => s.nominal === nominal && s.reckoned > 0 && s.used > 0);
		if (own.length === 0) return [];
		const { times, low, high } = paceFrom(own.map((s) => ({ base: s.reckoned, real: s.used, share: 1 })));
		const of = lines.filter((l) => nominalOf(l) === nominal);
		const before = of.reduce((a, l) => a + l.recipe.valueOf(), 0);
		const after = of.reduce((a, l) => a + taken(l, times).valueOf(), 0);
		return [{ nominal, jobs: own.length, times, low, high, before, after }];
	});
}

/** What was taught as a count of one: each line of those sizes, by its key. @throws {DomainError} as `countLines` */
export function countsTaught(
	recipe: Recipe,
	sizes: readonly Pick<SizeTaught, 'nominal' | 'times'>[],
	context: TallyContext
): Map<string, Rational> {
	const times = new Map(sizes.map((s) => [s.nominal, s.times]));
	return new Map(estimatedLines(recipe, context).map((l) => [l.key, taken(l, times.get(nominalOf(l)) ?? 1)])); // prettier-ignore
}
