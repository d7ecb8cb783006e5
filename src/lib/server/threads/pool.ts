import { availableParallelism } from 'node:os';
import { error, isHttpError } from '@sveltejs/kit';
import { LRUCache } from 'lru-cache';
import Tinypool from 'tinypool';
import type { Actor } from '../actor.ts';
import { seenBy } from '../seen-by.ts';
import { LONG_JOBS, type Answer, type JobInput, type Job } from './jobs.ts';
import type { Outcome, Task } from './thread.ts';

/** The one port to what takes long. Without a stamp an answer is not kept. */
export type Work = <J extends Job>(job: J, input: JobInput<J>, stamp?: string) => Promise<Answer<J>>;

export interface Limits {
	readonly threads: number;
	/** Tasks that wait at most. */
	readonly queue: number;
	/** Longest a task may take, waiting for its turn with it, ms. */
	readonly time: number;
	/** The same of what takes as long as there is of it, ms. */
	readonly longTime: number;
	/** Memory of a thread, MB. */
	readonly memory: number;
	/** Answers kept, bytes. */
	readonly kept: number;
}

/** Two at least: while one packs a long garland, the other makes papers. */
export const LIMITS: Limits = {
	threads: Math.max(2, Math.min(6, availableParallelism() - 1)),
	queue: 200,
	time: 20_000,
	longTime: 15 * 60_000,
	memory: 700,
	kept: 128 * 1024 * 1024
};

/** A thread beyond the first that has had nothing to do for so long goes, ms. */
const IDLE = 60_000;

const FULL = 'Too much is being worked out just now. Try again in a moment.';
const TOO_LONG =
	'That took too long, so it was stopped. Make it smaller, or try again when less is going on.';
const TOO_LARGE = 'That is too large to be worked out here. Make it smaller, or take it in parts.';

export interface Threads {
	/** The port as one actor uses it. */
	workFor(actor: Actor): Work;
	close(): Promise<void>;
}

/**
 * Threads that work out what takes long, so that no request waits for another's: a queue, limits of time and memory, and a
 * sentence where one is met. Answers are kept by what they were made from, and made once however many ask.
 * @param file the thread's module @param url of the database, which each thread reads for itself
 */
export function openThreads({ file, url }: { file: string; url: string }, limits: Limits = LIMITS): Threads {
	const pool = new Tinypool({
		filename: file,
		minThreads: 1,
		idleTimeout: IDLE,
		maxThreads: limits.threads,
		maxQueue: limits.queue,
		resourceLimits: { maxOldGenerationSizeMb: limits.memory }
	});
	const kept = new LRUCache<string, { readonly answer: unknown; readonly size: number }>({
		maxSize: limits.kept,
		sizeCalculation: ({ size }) => Math.max(1, size)
	});
	/** Being made now. */
	const making = new Map<string, Promise<{ answer: unknown; size: number }>>();

	async function once(task: Task) {
		const late = new AbortController();
		const timer = setTimeout(() => late.abort(), LONG_JOBS.has(task.job) ? limits.longTime : limits.time);
		try {
			return (await pool.run(task, { signal: late.signal })) as Outcome;
		} catch (cause) {
			if (late.signal.aborted) error(503, { message: TOO_LONG });
			const { message, code } = cause as { message?: string; code?: string };
			if (code === 'ERR_WORKER_OUT_OF_MEMORY') error(503, { message: TOO_LARGE });
			if (message === 'Task queue is at limit') error(503, { message: FULL });
			throw cause;
		} finally {
			clearTimeout(timer);
		}
	}

	async function make(task: Task) {
		const outcome = await once(task).catch((cause: unknown) => {
			if (isHttpError(cause)) throw cause;
			if (LONG_JOBS.has(task.job)) throw cause;
			// What ended the thread may have been left by the task before: it is tried on another.
			return once(task);
		});
		if ('refused' in outcome) error(outcome.refused.status, outcome.refused.body);
		return outcome;
	}

	const workFor =
		(actor: Actor): Work =>
		async <J extends Job>(job: J, input: JobInput<J>, stamp?: string) => {
			const task: Task<J> = { url, actor, job, input, kept: stamp !== undefined };
			if (stamp === undefined) return seenBy(actor, (await make(task as Task)).answer as Answer<J>);
			const key = JSON.stringify([actor.workspace, job, input, stamp]);
			let found = kept.get(key);
			if (!found) {
				let made = making.get(key);
				if (!made) {
					made = make(task as Task).finally(() => making.delete(key));
					making.set(key, made);
				}
				found = await made;
				kept.set(key, found);
			}
			return seenBy(actor, found.answer as Answer<J>);
		};
	return { workFor, close: () => pool.destroy() };
}
