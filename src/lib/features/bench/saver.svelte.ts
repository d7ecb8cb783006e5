import type { Recipe } from '../../core/recipe/recipe.ts';

/** What the screen says about saving. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'refused' | 'stale';

export interface Theirs {
	readonly recipe: Recipe;
	readonly revision: number;
}

interface Pending {
	readonly saveId: string;
	readonly baseRevision: number;
	/** The save it follows, where that one was still on its way: its revision counts as the base. */
	readonly after?: string;
	readonly recipe: Recipe;
}

const WAIT = 350;
const RETRY = 3000;

/**
 * Saves a working copy by itself: one save at a time, each with an id of its own that is kept until it is
 * acknowledged, and with the revision it started from. What is not acknowledged also lies in the browser's store.
 */
export class Saver {
	state = $state<SaveState>('saved');
	theirs = $state.raw<Theirs | null>(null);
	/** Why the server refused, in its words. */
	refusal = $state('');
	revision: number;
	#wanted: Recipe | null = null;
	#flying: Promise<void> | null = null;
	#pending: Pending | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;
	/** What the server last said. */
	#answered = 0;

	constructor(
		readonly design: string,
		revision: number
	) {
		this.revision = revision;
	}

	get #key() {
		return `bright-tally:unsaved:${this.design}`;
	}

	/** What an earlier visit could not hand over. */
	leftOver(): Pending | null {
		try {
			return JSON.parse(localStorage.getItem(this.#key) ?? 'null') as Pending | null;
		} catch {
			return null;
		}
	}

	/**
	 * Hands over what an earlier visit left. Where it had arrived after all, its id says so and nothing changes;
	 * where somebody saved in between, both stand side by side.
	 * @returns false where the server has gone on from it: theirs is the newer
	 */
	async resume(left: Pending): Promise<boolean> {
		const { revision } = this;
		this.#pending = left;
		await this.flush();
		if (this.#answered < revision && this.state === 'saved') return false;
		return true;
	}

	/** Asks for this recipe to be saved soon. */
	want(recipe: Recipe) {
		this.#wanted = recipe;
		if (this.state === 'stale') return;
		this.state = 'waiting';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.flush(), WAIT);
	}

	/** Hands over what there is now. Resolves when nothing is left, or saving cannot go on. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		while (this.#flying || ((this.#wanted || this.#pending) && !this.#stuck)) {
			this.#flying ??= this.#send().finally(() => (this.#flying = null));
			await this.#flying;
		}
	}

	get #stuck() {
		return this.state === 'stale' || this.state === 'offline' || this.state === 'refused';
	}

	async #send(): Promise<void> {
		if (!this.#pending) {
			if (!this.#wanted) return;
			this.#pending = { saveId: crypto.randomUUID(), baseRevision: this.revision, recipe: this.#wanted };
			this.#wanted = null;
		}
		this.state = 'saving';
		let response: Response;
		try {
			response = await fetch(`/bench/${this.design}/save`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(this.#pending)
			});
		} catch {
			return this.#later();
		}
		const answer = (await response.json().catch(() => ({}))) as {
			revision?: number;
			theirs?: Theirs;
			message?: string;
		};
		if (response.ok && answer.revision !== undefined) {
			this.#answered = answer.revision;
			this.revision = Math.max(this.revision, answer.revision);
			this.#pending = null;
			localStorage.removeItem(this.#key);
			this.state = this.#wanted ? 'waiting' : 'saved';
		} else if (response.status === 409 && answer.theirs) {
			this.theirs = answer.theirs;
			// Mine stays to be found again if the page is closed before the owner has chosen.
			this.#wanted ??= this.#pending.recipe;
			this.#pending = null;
			this.state = 'stale';
		} else if (response.status >= 400 && response.status < 500) {
			this.refusal = answer.message ?? 'The server refused this change.';
			this.#pending = null;
			this.state = 'refused';
		} else this.#later();
	}

	#later() {
		this.state = 'offline';
		this.#timer = setTimeout(() => {
			this.state = 'waiting';
			void this.flush();
		}, RETRY);
	}

	/** Ends a conflict: from now on saves start from their revision. */
	settle() {
		if (this.theirs) this.revision = this.theirs.revision;
		this.theirs = null;
		this.#wanted = null;
		this.state = 'saved';
		localStorage.removeItem(this.#key);
	}

	/** The page goes away: leave in the store what is not acknowledged, and try to hand it over. */
	leave(keep: boolean) {
		const after = this.#pending?.saveId;
		const pending = this.#wanted
			? { saveId: crypto.randomUUID(), baseRevision: this.revision, after, recipe: this.#wanted }
			: this.#pending;
		if (pending) {
			const body = JSON.stringify({ ...pending, keep });
			try {
				localStorage.setItem(this.#key, JSON.stringify(pending));
			} catch {
				// A full store: the beacon below is the other way.
			}
			navigator.sendBeacon(`/bench/${this.design}/save`, new Blob([body], { type: 'application/json' }));
		} else if (keep) navigator.sendBeacon(`/bench/${this.design}/keep?on=leaving`);
	}
}
