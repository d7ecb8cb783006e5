import { settleFollowing } from '../structures/stack/follow.ts';
import type { RecipeDraft } from './draft.ts';
import type { Recipe } from './recipe.ts';

/** Sizes of rows that follow others, after an edit. @param before the recipe as it was */
export function followRows(recipe: RecipeDraft, before?: Pick<Recipe, 'sections'>): void {
	for (const { id, structure } of recipe.sections) {
		if (!('layers' in structure) || !structure.layers.some((l) => l.follows)) continue;
		const was = before?.sections.find((s) => s.id === id)?.structure;
		settleFollowing(structure.layers, was && 'layers' in was ? was.layers : []);
	}
}
