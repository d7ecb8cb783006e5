import type { Actor } from '$lib/server/actor.ts';
import type { Door, OpenLink, SignedIn } from '$lib/server/auth/door.ts';
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
			/** Who asks. Resolved in one place: `src/hooks.server.ts`. */
			actor: Actor;
			/** Who is signed in; null for a client, and before anybody is. */
			person: SignedIn | null;
			/** What the client's link opens, where somebody comes by one. */
			link?: OpenLink['state'];
			/** What people do to get in and out. */
			door: Door;
			repos: Repos;
			/** The port to what takes long. */
			work: Work;
			theme: 'light' | 'dark' | 'auto';
		}
	}
}

export {};
