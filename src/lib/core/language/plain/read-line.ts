import type { NewId, Id } from '../../document/id.ts';
import { got, type Parsed } from '../../errors.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { applyEntry, designNeeded, whyNot, type EntryPlace } from '../apply.ts';
import type { EntryContext } from '../context.ts';
import type { Entry } from '../entry.ts';
import { parseEntry } from '../read.ts';
import { shorten } from '../../units/number.ts';
import { oddBag } from '../suggest/odd-bag.ts';
import { oddRow } from '../suggest/odd-row.ts';
import { coloursUsed } from '../suggest/used.ts';
import { unknownWords, without } from '../suggest/unknown.ts';
import { understand } from './understand.ts';

/** A line as it is read. */
export interface LineRead {
	/** What it says, as lines of the exact grammar; itself where it is one, or is not understood. */
	readonly lines: readonly string[];
	/** The first of them. */
	readonly parsed: Parsed<Entry>;
}

/** Reads a line exactly, else as plain words; what is neither is refused by the exact grammar. */
export function readLine(text: string, context: EntryContext): LineRead {
	const parsed = parseEntry(text, context);
	if (parsed.ok) return { lines: [text], parsed };
	const lines = understand(text, context);
	if (lines) return { lines, parsed: parseEntry(lines[0]!, context) };
	const say = whyNotRead(text, parsed.say, context);
	return { lines: [text], parsed: say === undefined ? parsed : { ...parsed, say } };
}

const isRead = (text: string, context: EntryContext): boolean =>
	parseEntry(text, context).ok || understand(text, context) !== undefined;

/** What is said of a line instead of what the exact grammar missed first: a row, a word or a bag that nothing here knows. */
function whyNotRead(text: string, refusal: string, context: EntryContext): string | undefined {
	const row = oddRow(text, context);
	if (row !== undefined) return row;
	const words = unknownWords(text, context).filter((word) => !refusal.includes(word));
	const [word] = words;
	if (word !== undefined) {
		const rest = without(text, words);
		const reads = words.length < 4 && isRead(rest, context);
		const names = words
			.slice(0, 3)
			.map((w) => `“${w}”`)
			.join(', ');
		const [colour] = coloursUsed(context);
		const wants = !reads && /\d/.test(rest) && colour !== undefined && isRead(`${rest} ${colour}`, context);
		if (wants) return `I do not know ${names}. In which colour? Name one of the design or of the Stockroom.`;
		return reads
			? `I do not know ${names}. Without it I read “${shorten(rest)}”.`
			: `I do not know ${names}. ${refusal}`;
	}
	const bag = oddBag(text, context);
	return bag && `There is no ${bag.said} inch round here. Bags are ${bag.bags.join(', ')}.`;
}

/**
 * Does several lines one after the other, as one edit: each is read when those before it are done.
 * @returns the section that takes the next line, or a sentence about the one that was refused
 */
export function applyLines(
	recipe: RecipeDraft,
	lines: readonly string[],
	context: EntryContext,
	place: EntryPlace,
	newId: NewId
): Parsed<Id | undefined> {
	let section = place.section;
	let index = place.index;
	for (const line of lines) {
		const { slots, sections, colourways } = recipe as Recipe;
		const colourway = colourways.find((c) => c.id === place.colourway) ?? colourways[0];
		const read = parseEntry(line, {
			...context,
			slots,
			sections,
			colourway,
			recipe: recipe as Recipe,
			...(section === undefined ? {} : { section })
		});
		if (!read.ok) return read;
		const at = { ...place, section, index };
		const why = whyNot(recipe as Recipe, read.value, at);
		if (why) return { ok: false, code: 'refused', say: why };
		if (designNeeded(read.value) !== undefined)
			return { ok: false, code: 'refused', say: 'Say a design of yours in a line of its own.' };
		const made = applyEntry(recipe, read.value, at, newId);
		if (made !== undefined) [section, index] = [made, undefined];
		else if (index !== undefined && read.value.kind === 'layer') index += 1;
	}
	return got(section);
}
