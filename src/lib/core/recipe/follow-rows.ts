import { settleFollowing } from '../structures/stack/follow.ts';
import { settleLike } from '../structures/stack/like.ts';
import type { RecipeDraft } from './draft.ts';
import type { Recipe } from './recipe.ts';

/** Rows that hang on others, after an edit: those that are the same again, those that follow in size. @param before the recipe as it was */
export function followRows(recipe: RecipeDraft, before?: Pick<Recipe, 'sections'>): void {
	const stacks = recipe.sections.flatMap(({ id, structure }) => {
		if (!('layers' in structure)) return [];
		const was = before?.sections.find((s) => s.id === id)?.structure;
		return [{ layers: structure.layers, was: was && 'layers' in was ? was.layers : [] }];
	});
	const all = stacks.flatMap((s) => s.layers);
	if (all.some((l) => l.like))
		settleLike(
			stacks.map((s) => s.layers),
			stacks.map((s) => s.was)
		);
	for (const { layers, was } of stacks) if (layers.some((l) => l.follows)) settleFollowing(layers, was);
	// A count that was said since is known.
	for (const layer of all)
		if (layer.range && (layer.repeat < layer.range.low || layer.repeat > layer.range.high))
			delete layer.range;
}
