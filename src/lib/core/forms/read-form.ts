import type { Field, FormContext } from './fields.ts';
import type { Fields } from './merge-fields.ts';

/** The fields of a form by name. */
export type Form = Readonly<Record<string, Field<unknown>>>;
/** What they come to. */
export type ValuesOf<F extends Form> = { readonly [K in keyof F]: F[K] extends Field<infer V> ? V : never };

/** A sentence for each field that cannot be read. */
export type Errors = Readonly<Record<string, string>>;

/**
 * Reads a form: in the browser as it is typed and again at the server.
 * @param typed texts by field; one that is not there is read as blank
 * @returns every value, or a sentence for each field that cannot be read
 */
export function readForm<F extends Form>(
	form: F,
	typed: Fields,
	context: FormContext
): { readonly ok: true; readonly values: ValuesOf<F> } | { readonly ok: false; readonly errors: Errors } {
	const values: Record<string, unknown> = {};
	const errors: Record<string, string> = {};
	for (const [name, field] of Object.entries(form)) {
		const parsed = field.read(typed[name] ?? '', context);
		if (parsed.ok) values[name] = parsed.value;
		else errors[name] = parsed.say;
	}
	return Object.keys(errors).length > 0 ? { ok: false, errors } : { ok: true, values: values as ValuesOf<F> };
}
