import type { UsableDesign } from '../context.ts';
import { wordsMatch } from './name-colour.ts';

/** Kept designs that words may mean: the one called exactly so, else all whose names go on like that. */
export function designsCalled(
	words: readonly string[],
	designs: readonly UsableDesign[]
): readonly UsableDesign[] {
	const exact = designs.filter((d) => d.name.toLowerCase() === words.join(' '));
	return exact.length > 0 ? exact : designs.filter((d) => wordsMatch(words, d.name));
}
