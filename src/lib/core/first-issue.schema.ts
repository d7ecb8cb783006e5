import type { z } from 'zod';

/** The first thing wrong with an input, with its place named: `sections 1 layers 3: …`. */
export function firstIssue(error: z.ZodError): string {
	const issue = error.issues[0];
	if (!issue) return 'That cannot be read.';
	const place = issue.path.map((p) => (typeof p === 'number' ? p + 1 : String(p))).join(' ');
	return place ? `${place}: ${issue.message}` : issue.message;
}
