import type { Actor } from '$lib/server/actor.ts';
import type { Repos } from '$lib/server/repos/index.ts';
import type { Work } from '$lib/server/threads/pool.ts';

declare global {
	namespace App {
		interface Error {
			message: string;
			/** What to do next, in one sentence. */
			hint?: string;
		}
		interface Locals {
			/** Who asks. Resolved in one place: `src/lib/server/actor.ts`. */
			actor: Actor;
			repos: Repos;
			/** The port to what takes long. */
			work: Work;
			theme: 'light' | 'dark' | 'auto';
		}
	}
}

export {};
