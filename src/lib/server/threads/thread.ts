import { serialize } from 'node:v8';
import { isHttpError } from '@sveltejs/kit';
import type { Actor } from '../actor.ts';
import { connect, type Database } from '../db/client.ts';
import { createRepos } from '../repos/index.ts';
import { work, type JobInput, type Job } from './jobs.ts';

export interface Task<J extends Job = Job> {
	readonly url: string;
	readonly actor: Actor;
	readonly job: J;
	readonly input: JobInput<J>;
	/** Whether the answer is kept, and so has to be weighed. */
	readonly kept: boolean;
}
/** What came of a task: an answer, with about how many bytes it takes where it is kept, or a refusal in words. */
export type Outcome =
	| { readonly answer: unknown; readonly size: number }
	| { readonly refused: { readonly status: number; readonly body: App.Error } };

const open = new Map<string, Database>();

/** Runs on a thread of the pool. */
export default async function run({ url, actor, job, input, kept }: Task): Promise<Outcome> {
	let db = open.get(url);
	if (!db) open.set(url, (db = connect(url)));
	try {
		const answer = await work(createRepos(db, actor), job, input);
		return { answer, size: kept ? serialize(answer).length : 0 };
	} catch (cause) {
		if (isHttpError(cause)) return { refused: { status: cause.status, body: cause.body } };
		throw cause;
	}
}
