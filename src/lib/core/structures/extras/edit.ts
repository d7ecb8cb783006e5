import type { Mutable } from '../../document/mutable.ts';
import type { Home } from '../facets/language.ts';
import type { ExtraLine, Extras } from './document.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';

export const extrasIn = (recipe: Recipe): Extras | undefined =>
	recipe.sections.map((s) => s.structure).find((s): s is Extras => s.kind === 'extras');

/** The section of the lines of a design, or the one to make for them: all of them are together. */
export function sectionOfLines(sections: Recipe['sections']): Home<Extras> {
	const own = sections.find((s) => s.structure.kind === 'extras');
	return own ? { section: own.id } : { name: 'extras', structure: { kind: 'extras', lines: [] } };
}

/** Every line of a design, whatever section holds it. */
export const linesIn = (recipe: RecipeDraft): Mutable<ExtraLine>[] =>
	recipe.sections.flatMap(({ structure }) => (structure.kind === 'extras' ? structure.lines : []));

export function changeLine(recipe: RecipeDraft, id: string, work: (line: Mutable<ExtraLine>) => void) {
	const line = linesIn(recipe).find((l) => l.id === id);
	if (line) work(line);
}

/** Takes one line of its choice, and none of the others. */
export function chooseLine(recipe: RecipeDraft, id: string) {
	const lines = linesIn(recipe);
	const group = lines.find((l) => l.id === id)?.choice?.group;
	if (group === undefined) return;
	for (const line of lines) if (line.choice?.group === group) line.taken = line.id === id;
}
