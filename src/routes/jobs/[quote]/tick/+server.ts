import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { JOB_LISTS } from '$lib/core/job/lists.ts';
import type { RequestHandler } from './$types';

const ticksSchema = z.strictObject({
	ticks: z
		.array(z.strictObject({ list: z.enum(JOB_LISTS), key: z.string().min(1).max(200), on: z.boolean() }))
		.min(1)
		.max(500)
});

/** Ticks things off lists of a job, in their order; sent twice they are done once. */
export const POST: RequestHandler = async ({ locals, params, request }) => {
	const read = ticksSchema.safeParse(await request.json().catch(() => null));
	if (!read.success) error(400, { message: 'These ticks cannot be read.' });
	const now = new Date();
	for (const tick of read.data.ticks)
		if (!(await locals.repos.jobs.tick(params.quote, tick, now)))
			error(404, { message: 'There is no such job.' });
	return json({ done: read.data.ticks.length });
};
