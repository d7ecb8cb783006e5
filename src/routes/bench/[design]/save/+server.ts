import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { recipeSchema } from '$lib/core/recipe/recipe.schema.ts';
import { readJson } from '$lib/server/answers.ts';
import type { RequestHandler } from './$types';

const saveSchema = z.object({
	saveId: z.string().min(8).max(64),
	baseRevision: z.number().int().min(1),
	after: z.string().min(8).max(64).optional(),
	recipe: recipeSchema,
	/** Keep a version too: said when the Bench is left. */
	keep: z.boolean().optional()
});

export const POST: RequestHandler = async ({ request, locals, params }) => {
	const read = await readJson(request, saveSchema);
	if ('answer' in read) return read.answer;
	const now = new Date();
	const outcome = await locals.repos.designs.save(params.design, read.value, now);
	if (outcome.status === 'missing') return json({ message: 'There is no such design.' }, { status: 404 });
	if (outcome.status === 'used')
		return json(
			{ message: 'That save was for another design. Reload the page and try again.' },
			{ status: 400 }
		);
	if (outcome.status === 'stale') {
		const { recipe, revision } = outcome.theirs;
		return json({ message: 'It was changed somewhere else.', theirs: { recipe, revision } }, { status: 409 });
	}
	if (read.value.keep) await locals.repos.designs.keep(params.design, now, 'leaving');
	return json({ revision: outcome.revision });
};
