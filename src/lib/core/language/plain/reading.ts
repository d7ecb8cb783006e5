import type { EntryContext } from '../context.ts';

/** Lines of the exact grammar that say what a sentence says; undefined where it is none of these. */
export type Reading = (said: string, context: EntryContext) => readonly string[] | undefined;

/** A number, as a group. */
export const N = String.raw`(\d+(?:\.\d+)?)`;
/** A length of some feet or metres, without a group of its own. */
export const LONG = String.raw`\d+(?:\.\d+)? ?(?:ft|m|cm)`;
/** Matches a whole sentence. */
export const matched = (pattern: string, said: string): RegExpExecArray | null =>
	new RegExp(`^(?:${pattern})$`).exec(said);
/** The first of several patterns that a sentence is. */
export const oneOf = (patterns: readonly string[], said: string): RegExpExecArray | null => {
	for (const pattern of patterns) {
		const found = matched(pattern, said);
		if (found) return found;
	}
	return null;
};
