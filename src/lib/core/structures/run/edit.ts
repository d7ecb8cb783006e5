import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Id } from '../../document/id.ts';
import type { Run } from './document.ts';

export function changeRun(recipe: RecipeDraft, section: Id, work: (run: Mutable<Run>) => void) {
	const own = recipe.sections.find((s) => s.id === section)?.structure;
	if (own?.kind === 'run') work(own as Mutable<Run>);
}
