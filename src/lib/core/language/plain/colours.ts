import type { EntryContext } from '../context.ts';
import { nameColour } from '../names/name-colour.ts';

const singular = (word: string) => word.replace(/s$/, '');
/** Words between two colours. */
const BETWEEN = new Set(['and', ',', '/', '+']);
const EMPTY = new Set(['in', 'of', 'a', 'the', 'with', 'colour', 'color', 'coloured', 'all']);

/** Whether words mean a colour of the design or of the Stockroom. */
function isColour(words: readonly string[], context: EntryContext): boolean {
	const { slots, colours, colourway } = context;
	let own = asked.get(slots);
	if (own?.colours !== colours || own.colourway !== colourway)
		asked.set(slots, (own = { colours, colourway, known: new Map() }));
	const said = words.join(' ');
	const before = own.known.get(said);
	if (before !== undefined) return before;
	const found = nameColour(words, context);
	const is = found.ok || found.code === 'ambiguous';
	own.known.set(said, is);
	return is;
}
/** What was asked before of a design and a Stockroom: the same words come in every reading of a line. */
const asked = new WeakMap<
	EntryContext['slots'],
	Pick<EntryContext, 'colours' | 'colourway'> & { readonly known: Map<string, boolean> }
>();

/**
 * The colours a text says, one after the other, each by as many words as name it.
 * @returns undefined where a word is none, and none of those that are passed over
 */
export function coloursIn(text: string, context: EntryContext): string[] | undefined {
	const words = text
		.replace(/([,/+])/g, ' $1 ')
		.split(/\s+/)
		.filter(Boolean);
	const found: string[] = [];
	for (let i = 0; i < words.length;) {
		if (BETWEEN.has(words[i]!) || EMPTY.has(words[i]!)) {
			i++;
			continue;
		}
		let [long, plural] = [0, false];
		for (let n = 1; n <= 4 && i + n <= words.length; n++) {
			const some = words.slice(i, i + n);
			if (some.some((w) => BETWEEN.has(w))) break;
			if (isColour(some, context)) long = n;
			// “four gull whites”.
			else if (n > 1 && isColour(some.map(singular), context)) [long, plural] = [n, true];
		}
		// “six whites”.
		const single = singular(words[i]!);
		const several = long === 0 && isColour([single], context);
		if (long === 0 && !several) return undefined;
		if (several) long = 1;
		const own = words.slice(i, i + long);
		found.push(several ? single : (plural ? own.map(singular) : own).join(' '));
		i += long;
	}
	return found;
}
