import type { EntryContext } from '../context.ts';

/** Lines of the exact grammar that say what a sentence says; undefined where it is none of these. */
export type Reading = (said: string, context: EntryContext) => readonly string[] | undefined;

/** A number, as a group. */
export const N = String.raw`(\d+(?:\.\d+)?)`;
/** A length of some feet or metres, without a group of its own. */
export const LONG = String.raw`\d+(?:\.\d+)? ?(?:ft|m|cm|in|″)`;
const made = new Map<string, RegExp>();
/** A pattern that is asked at every keystroke is made once. */
export function re(pattern: string): RegExp {
	const before = made.get(pattern);
	if (before) return before;
	const own = new RegExp(pattern);
	made.set(pattern, own);
	return own;
}
const whole = new Map<string, RegExp>();
/** Matches a whole sentence. */
export function matched(pattern: string, said: string): RegExpExecArray | null {
	let own = whole.get(pattern);
	if (!own) whole.set(pattern, (own = new RegExp(`^(?:${pattern})$`)));
	return own.exec(said);
}
/** The first of several patterns that a sentence is. */
export const oneOf = (patterns: readonly string[], said: string): RegExpExecArray | null => {
	for (const pattern of patterns) {
		const found = matched(pattern, said);
		if (found) return found;
	}
	return null;
};
