import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { firstIssue } from '../core/first-issue.schema.ts';

export { firstIssue };

type Read<T> = { value: T } | { answer: Response };
const refused = (status: number, message: string) => ({ answer: json({ message }, { status }) });

/** Reads a posted body as text; 413 in words where it is too large. */
export async function readText(request: Request): Promise<Read<string>> {
	try {
		return { value: await request.text() };
	} catch (error) {
		return (error as { status?: number }).status === 413
			? refused(413, 'That is too large to save.')
			: refused(400, 'What was sent cannot be read.');
	}
}

/**
 * Reads a posted JSON body through its schema.
 * @returns the value, or an answer in words: 400 for what is no JSON or not of that shape, 413 where it is too large
 */
export async function readJson<T>(request: Request, schema: z.ZodType<T, unknown>): Promise<Read<T>> {
	const text = await readText(request);
	if ('answer' in text) return text;
	let body: unknown;
	try {
		body = JSON.parse(text.value);
	} catch {
		return refused(400, 'That is not JSON.');
	}
	const parsed = schema.safeParse(body);
	return parsed.success ? { value: parsed.data } : refused(400, firstIssue(parsed.error));
}
