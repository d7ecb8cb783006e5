import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { tallyMarkSchema } from '$lib/core/job/tally-marks.schema.ts';
import { sumsOf } from '$lib/server/services/tally-sums.ts';
import type { RequestHandler } from './$types';

const marksSchema = z.strictObject({ marks: z.array(tallyMarkSchema).max(500) });

const answer = async ({ locals, params }: Parameters<RequestHandler>[0]) =>
	json(sumsOf(await locals.repos.tallyMarks.of(params.quote!)));

/** What everybody counted. */
export const GET: RequestHandler = answer;

/** Adds what was counted; sent twice it counts once. @returns what everybody counted */
export const POST: RequestHandler = async (event) => {
	const { locals, params, request } = event;
	const read = marksSchema.safeParse(await request.json().catch(() => null));
	if (!read.success) error(400, { message: 'These counts cannot be read.' });
	if (!(await locals.repos.jobs.find(params.quote))) error(404, { message: 'There is no such job.' });
	// A clock of a phone may run ahead: what is counted is not counted in days to come.
	const now = Date.now();
	const marks = read.data.marks.map((m) => ({ ...m, at: Math.min(m.at, now) }));
	await locals.repos.tallyMarks.add(params.quote, marks);
	return answer(event);
};
