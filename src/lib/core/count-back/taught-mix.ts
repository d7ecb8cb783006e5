import { countDesigns, explode } from '../bom/explode.ts';
import { paceFrom } from '../job/taught.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { withPumps } from '../recipe/with-pumps.ts';
import { certainOf } from '../structures/registry/certain.ts';
import { splitCount } from '../structures/run/split-count.ts';
import type { TallyContext } from '../tally/tally.ts';
import type { Micrometres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import { mixesAs } from './as-counted.ts';
import type { BalloonNeed } from './count-lines.ts';
import { countsOf } from './missing.ts';

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

/** Balloons of one key, for one. */
interface Estimated {
	readonly key: string;
	readonly count: number;
	readonly nominal: Micrometres;
}
const sizeKind = ({ kind, nominal }: Pick<BalloonNeed, 'kind' | 'nominal'>) => `${kind}/${nominal}`;

/**
 * Rounds of the sizes that only mixes of garlands take, for one in its first colours, by the keys of `countLines`: how many
 * of those go on a foot is an estimate. A size that rows or designs inside take as well is counted there, and not told apart.
 * @throws {DomainError} as `countDesigns`
 */
function estimated(recipe: Recipe, { library, rates: { pumps } }: TallyContext): Estimated[] {
	const sections = recipe.sections.map((s) => ({ ...s, structure: certainOf(s.structure) }));
	if (sections.every((s, i) => s.structure === recipe.sections[i]!.structure)) return [];
	const bare: Recipe = { ...recipe, sections };
	const wanted = { recipe: bare, colourway: null, size: null, quantity: rational(1), pumps };
	const others = explode(countDesigns(wanted, library)).map((e) => e.need);
	const certain = new Set(others.flatMap((n) => (n.what === 'balloon' ? [sizeKind(n)] : [])));
	return [...countsOf(withPumps(recipe, pumps))].flatMap(([key, { count, need }]) =>
		need.kind === 'latex-round' && !certain.has(sizeKind(need)) ? [{ key, count, nominal: need.nominal }] : []
	);
}

const sum = (counts: readonly number[]): number => counts.reduce((a, n) => a + n, 0);
const ofSize = (all: readonly Estimated[], nominal: Micrometres) => all.filter((e) => e.nominal === nominal);

/** So many times as many of one size, whole: its colours share what that comes to as they shared what it was. */
function taken(own: readonly Estimated[], times: number): number[] {
	const before = own.map((e) => e.count);
	return splitCount(Math.round(sum(before) * times), before);
}

/**
 * What jobs make of the balloons a foot of a design's garlands, size by size: the posterior of `paceFrom`, what the recipe
 * says weighing as much as six jobs.
 * @param seen jobs that were this very version of the design alone
 * @throws {DomainError} as `countDesigns`
 */
export function taughtMix(recipe: Recipe, seen: readonly SizeSeen[], context: TallyContext): SizeTaught[] {
	const all = estimated(recipe, context);
	return [...new Set(all.map((e) => e.nominal))].flatMap((nominal): SizeTaught[] => {
		const own = seen.filter((s) => s.nominal === nominal && s.reckoned > 0 && s.used > 0);
		if (own.length === 0) return [];
		const { times, low, high } = paceFrom(own.map((s) => ({ base: s.reckoned, real: s.used, share: 1 })));
		const of = ofSize(all, nominal);
		const [before, after] = [sum(of.map((e) => e.count)), sum(taken(of, times))];
		return [{ nominal, jobs: own.length, times, low, high, before, after }];
	});
}

/**
 * The recipe with its garlands as they were taught; all else of it stays, what is open too. It is as it was where two parts
 * of a mix are of one size: those cannot be told apart.
 * @throws {DomainError} as `countDesigns`
 */
export function withTaught(
	recipe: Recipe,
	sizes: readonly Pick<SizeTaught, 'nominal' | 'times'>[],
	context: TallyContext
): Recipe {
	const all = estimated(recipe, context);
	const counts = sizes.flatMap(({ nominal, times }) => {
		const own = ofSize(all, nominal);
		const now = taken(own, times);
		return own.map((e, i) => [e.key, now[i]!] as const);
	});
	return mixesAs(recipe, new Map(counts), context.rates.pumps);
}
