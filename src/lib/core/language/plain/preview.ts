import type { NewId } from '../../document/id.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { EntryPlace } from '../apply.ts';
import type { EntryContext } from '../context.ts';
import { saidBack } from '../suggest/said-back.ts';
import { applyLines, readLine } from './read-line.ts';

/** A line of a pasted recipe, and what it becomes. */
export interface PastedLine {
	readonly text: string;
	/** As exact lines; none where it is not understood. */
	readonly lines: readonly string[];
	/** What was understood, in a sentence; of a refused one the refusal. */
	readonly say: string;
	readonly ok: boolean;
}

/** Most lines of a recipe that is pasted at once. */
export const MOST_PASTED = 200;

/** A pasted text as lines: blank ones and notes behind `#` are none, a bullet or a number before a line is left out. */
export const pastedLines = (text: string): string[] =>
	text
		.split(/\r?\n/)
		.map((line) => line.replace(/^\s*(?:[-*•–]|\d{1,2}[.)])\s+/, '').trim())
		.filter((line) => line !== '' && !line.startsWith('#'))
		.slice(0, MOST_PASTED);

/** What each line of a pasted recipe becomes, one after the other: each is read when those before it are done. */
export function previewLines(
	recipe: Recipe,
	texts: readonly string[],
	context: EntryContext,
	place: EntryPlace,
	newId: NewId
): PastedLine[] {
	const draft = structuredClone(recipe) as RecipeDraft;
	let section = place.section;
	return texts.map((text): PastedLine => {
		const { slots, sections, colourways } = draft as Recipe;
		const colourway = colourways.find((c) => c.id === place.colourway) ?? colourways[0];
		const now = structuredClone(draft) as Recipe;
		const own: EntryContext = {
			...context,
			slots,
			sections,
			colourway,
			recipe: now,
			...(section === undefined ? {} : { section })
		};
		const read = readLine(text, own);
		if (!read.parsed.ok) return { text, lines: [], say: read.parsed.say, ok: false };
		const say = saidBack(read, own, 'on top');
		const done = applyLines(draft, read.lines, own, { ...place, section, index: undefined }, newId);
		if (!done.ok) return { text, lines: [], say: done.say, ok: false };
		section = done.value;
		return { text, lines: read.lines, say, ok: true };
	});
}
