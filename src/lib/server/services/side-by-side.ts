import { GONE } from '../../core/document/names.ts';
import { isBare } from '../../core/assembly/assemble.ts';
import { heightSaid, heightWords } from '../../core/tally/height.ts';
import { asClusters, CLUSTER_COUNTS, type ClusterCount } from '../../core/rebuild/as-clusters.ts';
import { compare, type Comparison } from '../../core/compare/compare.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { drawAssembly, type DrawList } from '../../core/scene/draw-list.ts';
import { tally, type Tally } from '../../core/tally/tally.ts';
import type { Amount } from '../../core/cost/amount.ts';
import type { Money } from '../../core/money/money.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/** What is compared: a design's working copy or a kept version of it, perhaps built with other clusters. */
export interface Choice {
	readonly design: string;
	/** Id of a kept version; empty for the working copy. */
	readonly version: string;
	readonly clusters: ClusterCount | null;
}

export interface Shown {
	readonly choice: Choice;
	readonly name: string;
	readonly picture: DrawList | null;
	readonly balloons: number;
	readonly height: string;
	readonly cost: Amount;
	readonly margin: number | null;
	readonly price: Money | null;
	readonly seconds: number;
	/** Rows that could not be built so. */
	readonly left: number;
	readonly versions: readonly { readonly id: string; readonly name: string }[];
}

export const clustersOf = (said: string | null): ClusterCount | null =>
	CLUSTER_COUNTS.find((n) => String(n) === said) ?? null;

/** Two designs or versions at today's prices, side by side; undefined where one of them is not there. */
export async function sideBySide(
	repos: Repos,
	first: Choice,
	second: Choice
): Promise<{ first: Shown; second: Shown; comparison: Comparison } | undefined> {
	const [a, b] = [await show(repos, first), await show(repos, second)];
	if (!a || !b) return undefined;
	const studio = await loadStudio(repos);
	const names = new Map([...studio.materials, ...studio.colours].map((m) => [m.id, m.name]));
	const comparison = compare(a, b, (id) => names.get(id) ?? GONE.material);
	return { first: a.shown, second: b.shown, comparison };
}

async function show(
	repos: Repos,
	choice: Choice
): Promise<{ shown: Shown; recipe: Recipe; tally: Tally } | undefined> {
	const found = await recipeOf(repos, choice);
	if (!found) return undefined;
	const studio = await loadStudio(repos);
	const context = contextOf(studio, await loadLibrary(repos, found.recipe));
	const worked = tally(found.recipe, null, 1, context);
	const { assembly, price, cost, bill } = worked;
	const priced = price.status === 'priced' ? price : undefined;
	const versions = await repos.designs.versions(choice.design);
	const drawn = !isBare(assembly) ? drawAssembly(assembly, { catalogue: context.catalogue, view: 'front' }) : null; // prettier-ignore
	const shown: Shown = {
		choice,
		name: found.recipe.name,
		picture: drawn,
		balloons: bill.balloons,
		height: heightWords(heightSaid(worked, context.rates.pumps)) || '—',
		cost: cost.total,
		margin: priced?.margin ?? null,
		price: priced?.said ?? null,
		seconds: cost.seconds.valueOf(),
		left: found.left,
		versions: versions.map((v) => ({ id: v.id, name: `version ${v.number}${v.name ? `, “${v.name}”` : ''}` }))
	};
	return { shown, recipe: found.recipe, tally: worked };
}

/** The recipe that is meant, and how many of its rows could not be built with the clusters asked for. */
export async function recipeOf(
	repos: Repos,
	{ design, version, clusters }: Choice
): Promise<{ recipe: Recipe; left: number } | undefined> {
	const kept = version === '' ? undefined : await repos.designs.version(version);
	const plain = kept?.design === design ? kept.recipe : (await repos.designs.find(design))?.recipe;
	if (!plain) return undefined;
	if (clusters === null) return { recipe: plain, left: 0 };
	const { catalogue, rates } = contextOf(await loadStudio(repos));
	const { recipe, left } = asClusters(plain, clusters, { catalogue, pumps: rates.pumps }, () =>
		crypto.randomUUID()
	);
	return { recipe, left };
}
