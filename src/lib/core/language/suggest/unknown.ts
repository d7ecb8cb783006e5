import { KEYWORDS, type EntryContext } from '../context.ts';
import { IDLE } from '../plain/wording.ts';
import { escaped } from '../names/whole-names.ts';
import { SPOKEN } from '../tokens.ts';

/** Words anything here knows: colours, things, names, and the language itself. */
const LANGUAGE = [
	...KEYWORDS, ...SPOKEN.keys(), 'helium', 'air', 'ribbon', 'pole', 'stick', 'hooks', 'glue', 'strip', 'tie', 'garland', 'arch', 'wall', 'bunch',
	'twice', 'layers', 'rows', 'inch', 'inches', 'feet', 'cluster', 'triplet', 'quint', 'weight', 'filled', 'sand', 'water', 'letters', 'foil', 'smaller',
	'bigger', 'again', 'same', 'instead', 'optional', 'margin', 'markup', 'table', 'floor', 'stands', 'hung', 'every', 'spine', 'run', 'weave', 'form',
	'hearts', 'painted', 'tall', 'high', 'wide', 'long', 'soft', 'full', 'loose', 'random', ...IDLE
]; // prettier-ignore

const lexicons = new WeakMap<object, ReadonlySet<string>>();
/** Words that mean something here, in small letters. */
export function known({ colours, materials, slots, sections = [] }: EntryContext): ReadonlySet<string> {
	let stock = lexicons.get(materials);
	if (!stock) {
		const names = [...colours.map((c) => `${c.name} ${c.finish}`), ...materials.map((m) => m.name)];
		stock = new Set([...LANGUAGE, ...names.flatMap((n) => n.toLowerCase().split(/[^\p{L}]+/u))]);
		lexicons.set(materials, stock);
	}
	return new Set([...stock, ...[...slots, ...sections].flatMap((s) => s.name.toLowerCase().split(/\s+/))]);
}

/** What somebody calls a thing may be any word: “as mouth on row 3”, “a part called arm”. */
const NEW_NAMES = /\b(?:as|called|named) (?:the |an? )?\p{L}+(?: (?!on\b|with\b|at\b|in\b)\p{L}+)?/giu;

/** Words of a line that nothing here knows, as they were typed. */
export function unknownWords(text: string, context: EntryContext): string[] {
	const lexicon = known(context);
	return [...text.replace(NEW_NAMES, ' ').matchAll(/[\p{L}][\p{L}'’-]*/gu)]
		.map(([word]) => word)
		.filter((word) => {
			const plain = word.toLowerCase();
			return ![plain, plain.replace(/s$/, ''), plain.replace(/es$/, '')].some(
				(w) => lexicon.has(w) || (w.length > 2 && [...lexicon].some((k) => k.startsWith(w)))
			);
		});
}

/** A text without some of its words, and without what only leads to them: “with a bow on each”. */
export function without(text: string, words: readonly string[]): string {
	let left = text;
	for (const word of words) {
		const around = new RegExp(String.raw`(?:\b(?:with|in|of|on|as|like) )?(?:\b(?:an?|the|some|\d+) )?(?<![\p{L}])${escaped(word)}(?![\p{L}])(?: (?:on|in|for) (?:each|it|them|top)\b)?`, 'u'); // prettier-ignore
		const alone = new RegExp(String.raw`(?<![\p{L}])${escaped(word)}(?![\p{L}])`, 'u');
		// What counts a bag is no word before it: “4 purple 11s”.
		const counts = new RegExp(String.raw`\d+ ${escaped(word)}\b`, 'u').test(left);
		left = left.replace(counts ? alone : around, ' ');
	}
	return left.replace(/\s+/g, ' ').trim();
}
