import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { firstIssue, readAs } from '../core/first-issue.schema.ts';

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
	const read = readAs(text.value, schema);
	return 'value' in read ? read : refused(400, read.say);
}
