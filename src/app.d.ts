import type { Actor } from '$lib/server/actor.ts';
import type { Repos } from '$lib/server/repos/index.ts';

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
			theme: 'light' | 'dark' | 'auto';
		}
	}
}

export {};
