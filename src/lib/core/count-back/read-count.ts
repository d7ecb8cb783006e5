import { count, number, orBlank, words, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import type { Rational } from '../units/rational.ts';

/** Most that is counted of one thing. */
const MOST = 100_000;
const TOOK = number({ what: 'The count', min: 0, max: MOST });
const LOST = orBlank(count({ what: 'What was lost', min: 0, max: MOST }), 0);
const NOTE = words({ what: 'A note', most: 500 });

/** What was counted of each line, by its key. */
export type TookOf = ReadonlyMap<string, { readonly took: Rational; readonly lost: number }>;

/**
 * Reads a count back. A line left blank is not counted: missing, never 0.
 * @param keys of the lines there are @param typed `took.` and `lost.` with a key, and `note`
 * @returns what was counted, or a sentence for each field that cannot be read
 */
export function readCount(
	keys: readonly string[],
	typed: Fields,
	context: FormContext
):
	| { readonly ok: true; readonly took: TookOf; readonly note: string }
	| { readonly ok: false; readonly errors: Errors } {
	const counted = keys.filter((key) => (typed[`took.${key}`] ?? '').trim() !== '');
	const read = readForm({ note: NOTE }, typed, context);
	const tooks = readForm(Object.fromEntries(counted.map((k) => [`took.${k}`, TOOK])), typed, context);
	const losts = readForm(Object.fromEntries(counted.map((k) => [`lost.${k}`, LOST])), typed, context);
	const errors: Record<string, string> = {};
	for (const part of [read, tooks, losts]) if (!part.ok) Object.assign(errors, part.errors);
	if (counted.length === 0) errors.note = 'Nothing was counted. Type what it took beside a line.';
	if (!read.ok || !tooks.ok || !losts.ok || counted.length === 0) return { ok: false, errors };
	const took = new Map(
		counted.map((key) => [key, { took: tooks.values[`took.${key}`]!, lost: losts.values[`lost.${key}`]! }])
	);
	return { ok: true, took, note: read.values.note };
}
