import type { RequestEvent } from '@sveltejs/kit';
import { bytesAnswer, type Made } from './bytes-answer.ts';
import { queryOf, type DesignQuery } from './services/design-query.ts';
import { stampOf } from './services/stamp.ts';
import type { Answer, JobInput, Job } from './threads/jobs.ts';

/** Jobs about a design as its address asks for it. */
type DesignJob = { [J in Job]: DesignQuery extends JobInput<J> ? J : never }[Job];
type DesignEvent = Pick<RequestEvent<{ design: string }>, 'locals' | 'params' | 'url'>;

/** What a page of a design shows: worked out on a thread, and kept by all it was made from. */
export const designWork = async <J extends DesignJob>(
	{ locals, params, url }: DesignEvent,
	job: J
): Promise<Answer<J>> =>
	locals.work(job, queryOf(params, url) as JobInput<J>, await stampOf(locals.repos, params.design));

/** The same as a paper, a picture or a list, marked by what it was made from. */
export async function designAnswer<J extends DesignJob>(
	event: DesignEvent & Pick<RequestEvent, 'request'>,
	job: J,
	describe: (made: Answer<J>) => Omit<Made, 'from'>
): Promise<Response> {
	const { locals, params, url, request } = event;
	const stamp = await stampOf(locals.repos, params.design);
	const made = await locals.work(job, queryOf(params, url) as JobInput<J>, stamp);
	return bytesAnswer(request, { from: stamp + url.search, ...describe(made) });
}
