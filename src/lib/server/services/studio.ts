import { catalogue, type Catalogue } from '../../core/materials/catalogue.ts';
import { withCounting, type PackPrice } from '../../core/materials/counting-pack.ts';
import type { Colour, Material } from '../../core/materials/material.ts';
import { onShelf } from '../../core/stock/ledger.ts';
import { rationalText } from '../../core/units/rational.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { designsIn } from '../../core/structures/design/edit.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { KeptVersion } from '../repos/designs.ts';
import type { Repos } from '../repos/index.ts';
import { dayIn } from './day-in.ts';
import { packAtOnce } from './packings.ts';

/** What every computation of one workspace reads, as plain data: it goes to the browser as it is. */
export interface Studio {
	readonly settings: Settings;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
	/** Changes with every change of stock or settings. */
	readonly stamp: number;
}

export async function loadStudio(repos: Repos, now = new Date()): Promise<Studio> {
	const stamp = await repos.workspaces.stamp();
	const kept = await repos.memo.take('stock', String(stamp), () => keptStudio(repos));
	// Which price counts hangs on the day where the business is: a sale ends with it.
	const today = dayIn(kept.settings.zone, now);
	return repos.memo.take('studio', `${stamp}/${today}`, () =>
		Promise.resolve({
			...kept,
			materials: withCounting(kept.materials, kept.settings.rates.packPrice, today)
		})
	);
}

/** The studio as it is kept, whatever the day. */
async function keptStudio(repos: Repos): Promise<Studio> {
	const found = await repos.workspaces.find();
	if (!found) throw new Error('This database has no workspace yet. Run “npm run demo”, or load one.');
	const [materials, colours] = await Promise.all([repos.stock.materials(), repos.stock.colours()]);
	const { settings, stockRevision: stamp } = found;
	return { settings, materials: await counted(repos, materials, settings.rates.packPrice), colours, stamp };
}

/** What is on the shelf at what it cost on average, where that is what counts; a material of no known cost keeps its packs'. */
async function counted(repos: Repos, materials: readonly Material[], price: PackPrice | undefined) {
	if (price !== 'average') return materials;
	const moves = await repos.stockMoves.all();
	return materials.map((m) => {
		const average = moves.has(m.id) ? onShelf(moves.get(m.id)!).average : null;
		return average === null ? m : { ...m, average: rationalText(average) };
	});
}

/** The last kept versions of all designs used by a recipe, at any depth. */
export async function loadKept(repos: Repos, recipe: Recipe): Promise<KeptVersion[]> {
	const found = new Map<string, KeptVersion>();
	for (let wanted = designsIn(recipe); wanted.length > 0;) {
		const kept = await repos.designs.lastKeptOf([...new Set(wanted)].filter((id) => !found.has(id)));
		for (const version of kept) found.set(version.design, version);
		wanted = kept.flatMap(({ recipe: inner }) => designsIn(inner));
	}
	return [...found.values()];
}

/** Their recipes, by the ids of the designs. */
export const loadLibrary = async (repos: Repos, recipe: Recipe): Promise<Map<string, Recipe>> =>
	new Map((await loadKept(repos, recipe)).map(({ design, recipe: inner }) => [design, inner]));

const catalogues = new WeakMap<Studio, Catalogue>();

export function contextOf(studio: Studio, library: ReadonlyMap<string, Recipe> = new Map()): TallyContext {
	let indexed = catalogues.get(studio);
	if (!indexed) catalogues.set(studio, (indexed = catalogue(studio.materials, studio.colours)));
	const { rates } = studio.settings;
	return { catalogue: indexed, rates, library: (design) => library.get(design), packed: packAtOnce };
}
