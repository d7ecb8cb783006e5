import { catalogue } from '../../core/materials/catalogue.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { tallyReport, type TallyReport } from '../../core/tally/report.ts';
import type { TallyRequest } from '../../core/tally/request.schema.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { loadLibrary, loadStudio } from './studio.ts';

/** What it was asked for is not in the recipe, with its place named. */
export interface Refused {
	readonly refused: string;
}

/** Works out what is asked by the same path as the Bench, and saves nothing. */
export async function answerTally(repos: Repos, request: TallyRequest): Promise<TallyReport | Refused> {
	const { recipe, quantity } = request;
	const colourway = found(recipe.colourways, request.colourway);
	if (colourway === undefined)
		return { refused: missing('colourway', request.colourway!, recipe.colourways) };
	const size = found(recipe.sizes, request.size);
	if (size === undefined) return { refused: missing('size', request.size!, recipe.sizes) };
	const studio = await loadStudio(repos);
	const library = request.designs
		? new Map<string, Recipe>(Object.entries(request.designs))
		: await loadLibrary(repos, recipe);
	const context = {
		catalogue: catalogue(request.materials ?? studio.materials, request.colours ?? studio.colours),
		rates: studio.settings.rates,
		library: (id: string) => library.get(id)
	};
	const worked = tally(recipe, colourway, quantity, context, size);
	return tallyReport(recipe, { colourway, size, quantity }, worked);
}

interface Named {
	readonly id: string;
	readonly name: string;
}

/** The id of what was said by id or name; null where nothing was said, undefined where it is not there. */
function found(of: readonly Named[], said: string | null): string | null | undefined {
	if (said === null) return null;
	return (of.find((o) => o.id === said) ?? of.find((o) => o.name.toLowerCase() === said.toLowerCase()))?.id;
}

const missing = (what: string, said: string, of: readonly Named[]) =>
	`${what}: there is no “${said.slice(0, 60)}”. There is ${of.map((o) => o.name).join(', ') || 'none'}.`;
