import type { z } from 'zod';

/** The first thing wrong with an input, with its place named: `sections 1 layers 3: …`. */
export function firstIssue(error: z.ZodError): string {
	const issue = error.issues[0];
	if (!issue) return 'That cannot be read.';
	const place = issue.path.map((p) => (typeof p === 'number' ? p + 1 : String(p))).join(' ');
	return place ? `${place}: ${issue.message}` : issue.message;
}

/** What a document is read as, or what is wrong with it, in words. */
export type ReadAs<T> = { readonly value: T } | { readonly say: string };

/** Reads JSON through a schema. */
export function readAs<T>(text: string, schema: z.ZodType<T, unknown>): ReadAs<T> {
	let said: unknown;
	try {
		said = JSON.parse(text);
	} catch {
		return { say: 'That is not JSON.' };
	}
	const read = schema.safeParse(said);
	return read.success ? { value: read.data } : { say: firstIssue(read.error) };
}
