/** Every reason the core can refuse an input. Stable: stored, logged and put into words by the screens. */
export type DomainErrorCode =
	| 'not-positive'
	| 'not-integer'
	| 'out-of-range'
	| 'currency-mismatch'
	| 'empty'
	| 'cycle'
	| 'not-found'
	| 'too-many';

/** A caller's mistake. Expected bad outcomes are returned as a status instead. */
export class DomainError extends Error {
	readonly code: DomainErrorCode;

	/** @param detail what was wrong, for a person: names and values, no stack words */
	constructor(code: DomainErrorCode, detail: string) {
		super(detail);
		this.name = 'DomainError';
		this.code = code;
	}
}

/** Why typed text was not understood. `missing` is a blank field: blank is never zero. */
export type ParseCode =
	| 'missing'
	| 'not-a-number'
	| 'not-a-length'
	| 'negative'
	| 'too-small'
	| 'too-big'
	| 'not-whole'
	| 'unknown-word'
	| 'ambiguous'
	| 'refused';

/** The outcome of reading typed text: a value, or a code with one sentence that says what to do. */
export type Parsed<T> =
	| { readonly ok: true; readonly value: T }
	| { readonly ok: false; readonly code: ParseCode; readonly say: string };

export const got = <T>(value: T): Parsed<T> => ({ ok: true, value });
export const refuse = (code: ParseCode, say: string): { ok: false; code: ParseCode; say: string } => ({
	ok: false,
	code,
	say
});
