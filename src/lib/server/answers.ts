import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { firstIssue } from '../core/first-issue.schema.ts';

export { firstIssue };

/**
 * Reads a posted JSON body through its schema.
 * @returns the value, or an answer in words: 400 for what is no JSON or not of that shape, 413 where it is too large
 */
export async function readJson<T>(
	request: Request,
	schema: z.ZodType<T, unknown>
): Promise<{ value: T } | { answer: Response }> {
	let body: unknown;
	try {
		body = await request.json();
	} catch (error) {
		const large = (error as { status?: number }).status === 413;
		return {
			answer: json(
				{ message: large ? 'That is too large to save.' : 'That is not JSON.' },
				{ status: large ? 413 : 400 }
			)
		};
	}
	const parsed = schema.safeParse(body);
	if (parsed.success) return { value: parsed.data };
	return { answer: json({ message: firstIssue(parsed.error) }, { status: 400 }) };
}
