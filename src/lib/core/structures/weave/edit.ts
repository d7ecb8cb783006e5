import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Id } from '../../document/id.ts';
import type { Weave } from './document.ts';

export function changeWeave(recipe: RecipeDraft, section: Id, work: (weave: Mutable<Weave>) => void) {
	const own = recipe.sections.find((s) => s.id === section)?.structure;
	if (own?.kind === 'weave') work(own as Mutable<Weave>);
}
