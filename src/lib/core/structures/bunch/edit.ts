import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { BunchItem } from './document.ts';
import type { Id } from '../../document/id.ts';

export function changeItem(recipe: RecipeDraft, id: Id, work: (item: Mutable<BunchItem>) => void) {
	for (const { structure } of recipe.sections) {
		const item = structure.kind === 'bunch' ? structure.items.find((i) => i.id === id) : undefined;
		if (item) work(item);
	}
}
