import { got, refuse, type Parsed } from '../../errors.ts';
import type { Material } from '../../materials/material.ts';
import { shorten } from '../../units/number.ts';
import { wordsMatch } from './name-colour.ts';

/**
 * The one material that typed words name: rounds are named by count, bag, size and colour, never here.
 * @param lead a sentence to say first where there is none
 * @param withRounds rounds may be meant too, by their names in the Stockroom
 */
export function findMaterial(
	words: readonly string[],
	materials: readonly Material[],
	lead = '',
	withRounds = false
): Parsed<Material> {
	const said = words.join(' ');
	const others = materials.filter((m) => withRounds || m.kind !== 'latex-round');
	const exact = others.filter((m) => m.name.toLowerCase().replace(/,/g, '') === said);
	// A plural is read as the one thing it is of: “sandbags”.
	const single = words.map((w, i) => (i === words.length - 1 && w.endsWith('s') ? w.slice(0, -1) : w));
	const begun = others.filter((m) => wordsMatch(words, m.name));
	const found =
		exact.length > 0 ? exact : begun.length > 0 ? begun : others.filter((m) => wordsMatch(single, m.name));
	if (found.length === 1) return got(found[0]!);
	if (found.length > 1) {
		const some = found.slice(0, 3).map((m) => m.name);
		return refuse('ambiguous', `“${shorten(said)}” could be ${some.join(', ')}. Type more of it.`);
	}
	return refuse('unknown-word', `${lead}Nothing in the Stockroom is called “${shorten(said)}”.`);
}
