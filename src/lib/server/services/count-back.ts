import { materialOf } from '../../core/count-back/learned-loss.ts';
import { tookOf } from '../../core/stock/took.ts';
import { dayIn } from './day-in.ts';
import { asCounted } from '../../core/count-back/as-counted.ts';
import { countLines } from '../../core/count-back/count-lines.ts';
import { withTaught, type SizeTaught } from '../../core/count-back/taught-mix.ts';
import type { CountedLine } from '../../core/count-back/counted.schema.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import { recipeSchema } from '../../core/recipe/recipe.schema.ts';
import { mixed, rationalText, type Rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import type { LoadedDesign } from './design-query.ts';
import { changeWorking } from './change-working.ts';
import { contextOf, loadLibrary } from './studio.ts';

export interface Counted {
	/** Made with the page: a button pressed twice counts once. */
	readonly id: string;
	readonly took: ReadonlyMap<string, { readonly took: Rational; readonly lost: number }>;
	readonly note: string;
}

/** Keeps what a design took, beside what the recipe says it takes. */
export async function keepCount(
	repos: Repos,
	{ design, studio, context, colourway, size, quantity }: LoadedDesign,
	{ id, took, note }: Counted,
	now: Date
): Promise<void> {
	const choice = { colourway: colourway.id, size: size?.id ?? null, quantity };
	const lines = countLines(design.recipe, choice, context).flatMap(
		({ key, label, recipe }): CountedLine[] => {
			const count = took.get(key);
			if (!count) return [];
			const { took: exact, lost } = count;
			return [{ key, label, recipe: rationalText(recipe), took: rationalText(exact), lost }];
		}
	);
	const { colourway: colourwayId, size: sizeId } = choice;
	const used = lines.flatMap((line) => {
		const material = context.catalogue.materials.get(materialOf(line.key, context.catalogue) ?? '');
		// What comes back is not used up.
		return material && !material.reuse ? [{ material: material.id, took: line.took, lost: line.lost }] : [];
	});
	await repos.countBacks.add(
		{ id, design: design.id, colourwayId, sizeId, quantity, lines, note, countedAt: now },
		tookOf(used, { id, day: dayIn(studio.settings.zone, now), note: design.recipe.name })
	);
}

/**
 * Makes the recipe as it was counted a new version of the design. What the working copy held is kept first.
 * @returns the number of the new version, and what could not be made so, in words; or why it was not done at all
 */
export async function makeCounted(
	repos: Repos,
	{ design, studio, context, colourway, size, quantity }: LoadedDesign,
	{ id, took }: Counted,
	now: Date
): Promise<{ version: number; left: readonly string[] } | { refused: string }> {
	if (size)
		return {
			refused: 'A size follows from the design: count back the design as it stands, then this size follows.'
		};
	if (colourway.without.length > 0)
		return { refused: 'In these colours something is left out. Count it back in colours that have it all.' };
	const before = (await repos.countBacks.list(design.id)).find((c) => c.id === id)?.madeVersion;
	// The same press again makes no third version.
	if (before) return { version: before, left: [] };
	const choice = { colourway: colourway.id, size: null, quantity };
	const said = new Map(countLines(design.recipe, choice, context).map((l) => [l.key, l.recipe]));
	const counts = new Map<string, Rational>();
	for (const [key, { took: count }] of took) {
		const each = count.div(quantity);
		// What was not changed is as the recipe says, whole for each of them or not.
		if (each.d !== 1n && !said.get(key)?.equals(count))
			return {
				refused: `${mixed(count)} for ${quantity} of them is not the same for each. Count one of them by itself.`
			};
		counts.set(key, each);
	}
	if ([...took].every(([key, { took: count }]) => said.get(key)?.equals(count)))
		return {
			refused: 'It took exactly what the recipe says: the count is kept, and no new version is needed.'
		};
	let left: readonly string[] = [];
	const version = await keepChanged(repos, { design, studio }, { id, now }, (recipe, context) => {
		const done = asCounted(recipe, { colourway: colourway.id, counts }, context, () => crypto.randomUUID());
		left = done.left;
		return done.recipe;
	});
	if (version === undefined) return { refused: MEANWHILE };
	const but = left.length === 0 ? '' : `, but for ${left.length} ${left.length === 1 ? 'line' : 'lines'}`;
	await repos.designs.nameVersion(`${design.id}.${version}`, `as counted${but}`);
	await repos.countBacks.made(id, version);
	return { version, left };
}

/** Makes what jobs taught of a design's garlands a new version of it. What the working copy held is kept first. */
export async function makeTaught(
	repos: Repos,
	loaded: LoadedDesign,
	{ id, sizes }: { readonly id: string; readonly sizes: readonly SizeTaught[] },
	now: Date
): Promise<{ version: number } | { refused: string }> {
	const { recipe } = loaded.design;
	if (JSON.stringify(withTaught(recipe, sizes, loaded.context)) === JSON.stringify(recipe))
		return { refused: 'Two parts of its mix are of one size and cannot be told apart. Change its counts on the Bench.' }; // prettier-ignore
	const version = await keepChanged(repos, loaded, { id, now }, (own, context) => withTaught(own, sizes, context)); // prettier-ignore
	if (version === undefined) return { refused: MEANWHILE };
	await repos.designs.nameVersion(`${loaded.design.id}.${version}`, 'as counted');
	return { version };
}

const MEANWHILE = 'The design was changed while you counted. Try again.';

/**
 * Keeps what the working copy held, changes it, and keeps that.
 * @returns the number of the new version; undefined where the design was changed meanwhile
 */
async function keepChanged(
	repos: Repos,
	{ design, studio }: Pick<LoadedDesign, 'design' | 'studio'>,
	{ id, now }: { readonly id: string; readonly now: Date },
	change: (recipe: Recipe, context: TallyContext) => Recipe
): Promise<number | undefined> {
	await repos.designs.keep(design.id, now, 'count back');
	const saved = await changeWorking(repos, design.id, { saveId: `count-${id}`, now }, async (recipe) => {
		const made = change(recipe, contextOf(studio, await loadLibrary(repos, recipe)));
		return recipeSchema.parse(JSON.parse(JSON.stringify(made)));
	});
	return saved ? (await repos.designs.keep(design.id, now, 'count back'))?.number : undefined;
}
