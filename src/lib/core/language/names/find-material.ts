import { got, refuse, type Parsed } from '../../errors.ts';
import { KIND_WORDS, type Material } from '../../materials/material.ts';
import { shorten } from '../../units/number.ts';
import { piecesOf, wordsBegin, wordsOf } from './name-colour.ts';

export interface Named {
	readonly material: Material;
	/** Lower case, without commas. */
	readonly name: string;
	readonly words: readonly string[];
}
interface Index {
	readonly all: readonly Named[];
	/** Without rounds. */
	readonly others: readonly Named[];
	/** By the whole name and by what stands before its comma. */
	readonly byName: ReadonlyMap<string, Material>;
}
/** A Stockroom is looked through at every keystroke, and stays the same for hours. */
const indexes = new WeakMap<readonly Material[], Index>();

function indexOf(materials: readonly Material[]): Index {
	const before = indexes.get(materials);
	if (before) return before;
	const all = materials.map((material) => ({
		material,
		name: material.name.toLowerCase().replace(/,/g, ''),
		words: wordsOf(material.name)
	}));
	const byName = new Map<string, Material>();
	for (const m of materials) {
		const name = m.name.toLowerCase();
		for (const said of [name, name.replace(/,/g, ''), name.split(',')[0]!])
			if (!byName.has(said)) byName.set(said, m);
	}
	const index = { all, others: all.filter((n) => n.material.kind !== 'latex-round'), byName };
	indexes.set(materials, index);
	return index;
}

/** What is no round, each with its name cut into words, as it is looked through. */
export const thingsByWords = (materials: readonly Material[]): readonly Named[] => indexOf(materials).others;

/** The material of a name said in full, or of all before its comma; undefined where there is none. */
export const materialCalled = (name: string, materials: readonly Material[]): Material | undefined =>
	indexOf(materials).byName.get(name);

/** Of one name are told by what they are. */
function alike(said: string, found: readonly Material[]): string {
	const kinds = [...new Set(found.map((m) => KIND_WORDS[m.kind]))];
	const what = kinds.length > 1 ? `: ${kinds.map((k) => `a ${k}`).join(' and ')}` : '';
	return `There are ${found.length === 2 ? 'two' : found.length} things called “${shorten(said)}”${what}. Give one of them another name in the Stockroom, or pick it there.`;
}

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
	const { all, others: rest } = indexOf(materials);
	const others = withRounds ? all : rest;
	const exact = others.filter(({ name }) => name === said);
	// A plural is read as the one thing it is of: “sandbags”.
	const single = words.map((w, i) => (i === words.length - 1 && w.endsWith('s') ? w.slice(0, -1) : w));
	const [pieces, one] = [piecesOf(words), piecesOf(single)];
	const begun = others.filter((m) => wordsBegin(pieces, m.words));
	const found =
		exact.length > 0 ? exact : begun.length > 0 ? begun : others.filter((m) => wordsBegin(one, m.words));
	if (found.length === 1) return got(found[0]!.material);
	if (found.length > 1) {
		const some = found.slice(0, 3).map((m) => m.material.name);
		if (new Set(some).size === 1)
			return refuse(
				'ambiguous',
				alike(
					said,
					found.map((m) => m.material)
				)
			);
		return refuse('ambiguous', `“${shorten(said)}” could be ${some.join(', ')}. Type more of it.`);
	}
	return refuse('unknown-word', `${lead}Nothing in the Stockroom is called “${shorten(said)}”.`);
}
