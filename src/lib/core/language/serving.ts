import { got, refuse, type Parsed } from '../errors.ts';
import type { Id } from '../document/id.ts';
import { servable } from '../recipe/serving-lines.ts';
import type { Reader } from './reader.ts';

/** `serving column row 1, star`: the sections, rows, pieces and items that a line serves; undefined where none is said. */
export function servingOf(r: Reader): Parsed<readonly Id[]> | undefined {
	if (!r.word('serving')) return undefined;
	const all = servable({ sections: r.context.recipe?.sections ?? r.context.sections ?? [] });
	const names = all.map(([id, words]) => ({ id, name: words.trim().toLowerCase() }));
	// The longest first: “column row 1” before “column”.
	names.sort((a, b) => b.name.split(' ').length - a.name.split(' ').length);
	const found: Id[] = [];
	do {
		const one = names.find(({ name }) => r.phrase(name));
		if (!one)
			return refuse(
				'unknown-word',
				`What does it serve? Name a section, a row, a piece or an item of this design, like “serving ${all[1]?.[1].trim() ?? 'column row 1'}”.`
			);
		found.push(one.id);
	} while (r.mark(',') || r.word('and'));
	return got([...new Set(found)]);
}
