import { materialOf } from '../../core/count-back/learned-loss.ts';
import { tookOf } from '../../core/stock/took.ts';
import { dayIn } from './day-in.ts';
import { asCounted } from '../../core/count-back/as-counted.ts';
import { countLines } from '../../core/count-back/count-lines.ts';
import type { CountedLine } from '../../core/count-back/counted.schema.ts';
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
	await repos.designs.keep(design.id, now, 'count back');
	const saved = await changeWorking(repos, design.id, { saveId: `count-${id}`, now }, async (recipe) => {
		const context = contextOf(studio, await loadLibrary(repos, recipe));
		const done = asCounted(recipe, { colourway: colourway.id, counts }, context, () => crypto.randomUUID());
		left = done.left;
		return recipeSchema.parse(JSON.parse(JSON.stringify(done.recipe)));
	});
	const kept = saved ? await repos.designs.keep(design.id, now, 'count back') : undefined;
	if (!kept) return { refused: 'The design was changed while you counted. Try again.' };
	const but = left.length === 0 ? '' : `, but for ${left.length} ${left.length === 1 ? 'line' : 'lines'}`;
	await repos.designs.nameVersion(`${design.id}.${kept.number}`, `as counted${but}`);
	await repos.countBacks.made(id, kept.number);
	return { version: kept.number, left };
}
