import { got, refuse, type Parsed } from '../errors.ts';
import type { Id } from '../document/id.ts';
import { servable } from '../recipe/serving-lines.ts';
import type { Reader } from './reader.ts';
import { isWord } from './tokens.ts';

/** `serving column row 1, star`: the sections, rows, pieces and items that a line serves; undefined where none is said. */
export function servingOf(r: Reader): Parsed<readonly Id[]> | undefined {
	if (!r.word('serving')) return undefined;
	const all = servable({ sections: r.context.recipe?.sections ?? r.context.sections ?? [] });
	const names = all.map(([id, words]) => ({ id, words: words.trim().toLowerCase().split(' ') }));
	// The longest first: “column row 1” before “column”.
	names.sort((a, b) => b.words.length - a.words.length);
	const found: Id[] = [];
	do {
		const one = names.find(({ words }) => words.every((word, i) => isSaid(r, r.at + i, word)));
		if (!one)
			return refuse(
				'unknown-word',
				`What does it serve? Name a section, a row, a piece or an item of this design, like “serving ${all[1]?.[1].trim() ?? 'column row 1'}”.`
			);
		r.at += one.words.length;
		found.push(one.id);
	} while (r.mark(',') || r.word('and'));
	return got([...new Set(found)]);
}

function isSaid({ all }: Reader, at: number, word: string): boolean {
	const token = all[at];
	return token?.kind === 'number' ? String(token.value.valueOf()) === word : isWord(token, word);
}
