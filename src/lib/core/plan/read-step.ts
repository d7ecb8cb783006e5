import { MOST_IN_CHECK, MOST_IN_TOOL, STEP_PLACES, type StepWords } from '../document/step.ts';
import { choice, held, words, type Field, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import { parseWait } from '../units/duration.ts';

const wait: Field<number | null> = { read: (text, { style }) => parseWait(text, style) };

/** What can be said of a step of the plan, with its limits. */
const STEP = {
	text: held(words({ what: 'A step', most: 5000, missing: 'Say what is done.' }), (text) =>
		text.length > 500 ? 'A step has at most 500 letters. Make two of it.' : undefined
	),
	place: choice(STEP_PLACES, { say: 'Say where it is done.' }),
	tool: words({ what: 'A tool', most: MOST_IN_TOOL }),
	method: words({ what: 'A method', most: 80 }),
	wait,
	takes: wait,
	check: words({ what: 'A check', most: MOST_IN_CHECK }),
	photo: words({ what: 'A photo', most: 64 }),
	about: words({ what: 'What it is about', most: 64 }),
	after: words({ what: 'Its place', most: 90 })
};

/** A step as it was typed: its words, what it is about, and the step it goes after. */
export interface TypedStep {
	readonly says: StepWords;
	readonly uses: readonly string[];
	/** Null is first. */
	readonly after: string | null;
}

/** Reads the form of a step; seconds of a wait. @returns a sentence for each field that cannot be read */
export function readStep(
	typed: Fields,
	context: FormContext
): { readonly ok: true; readonly step: TypedStep } | { readonly ok: false; readonly errors: Errors } {
	const read = readForm(STEP, typed, context);
	if (!read.ok) return read;
	const { about, after, photo, wait: waits, takes, ...says } = read.values;
	return {
		ok: true,
		step: {
			says: { ...says, wait: waits ?? 0, ...(takes ? { takes } : {}), photo: photo || undefined },
			uses: about ? [about] : [],
			after: after || null
		}
	};
}
