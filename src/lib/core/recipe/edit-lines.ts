import type { Mutable } from '../document/mutable.ts';
import type { RecipeDraft } from './edit.ts';
import type { ExtraLine } from '../structures/extras/document.ts';

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
