import type { Recipe } from '../../core/recipe/recipe.ts';
import { Keeper } from '../shell/keeper.ts';

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
 * acknowledged, and with the revision it started from. What is not acknowledged lies in the browser's store from the moment
 * it was made.
 */
export class Saver {
	state = $state<SaveState>('saved');
	theirs = $state.raw<Theirs | null>(null);
	/** Why the server refused, in its words. */
	refusal = $state('');
	/** Whether what is not saved lies in the browser's store: one that is full keeps nothing. */
	keptHere = $state(true);
	revision: number;
	readonly #keeper: Keeper<Pending>;
	/** What is sent next, as it lies in the store. */
	#next: Pending | null = null;
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
		this.#keeper = new Keeper(design);
	}

	/** What earlier visits could not hand over, the oldest first: of this tab, and of tabs that are gone. */
	leftOver(): Promise<Pending[]> {
		return this.#keeper.takeOver();
	}
	async #write(pending: Pending) {
		this.keptHere = await this.#keeper.put(pending);
	}

	/**
	 * Hands over what an earlier visit left. Where it had arrived after all, its id says so and nothing changes;
	 * where somebody saved in between, both stand side by side.
	 * @returns false where the server has gone on from it: theirs is the newer
	 */
	async resume(left: Pending): Promise<boolean> {
		const { revision } = this;
		this.#pending = left;
		await this.#write(left);
		await this.#keeper.dropGone(left);
		await this.flush();
		if (this.#answered < revision && this.state === 'saved') return false;
		return true;
	}

	/** Asks for this recipe to be saved soon. */
	want(recipe: Recipe) {
		const saveId = this.#next?.saveId ?? crypto.randomUUID();
		this.#next = { saveId, baseRevision: this.revision, after: this.#pending?.saveId, recipe };
		void this.#write(this.#next);
		if (this.state === 'stale') return;
		this.state = 'waiting';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.flush(), WAIT);
	}

	/** Hands over what there is now. Resolves when nothing is left, or saving cannot go on. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		while (this.#flying || ((this.#next || this.#pending) && !this.#stuck)) {
			this.#flying ??= this.#send().finally(() => (this.#flying = null));
			await this.#flying;
		}
	}

	get #stuck() {
		return this.state === 'stale' || this.state === 'offline' || this.state === 'refused';
	}

	async #send(): Promise<void> {
		if (!this.#pending) {
			if (!this.#next) return;
			this.#pending = { ...this.#next, baseRevision: this.revision, after: undefined };
			this.#next = null;
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
			if (!this.#next) void this.#keeper.drop();
			this.state = this.#next ? 'waiting' : 'saved';
		} else if (response.status === 409 && answer.theirs) {
			this.theirs = answer.theirs;
			// Mine stays to be found again if the page is closed before the owner has chosen.
			this.#next ??= this.#pending;
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
		this.#next = null;
		this.state = 'saved';
		void this.#keeper.drop();
	}

	/** The page goes away: what is not acknowledged lies in the store, and is handed over on the way out. */
	leave(keep: boolean) {
		const pending = this.#next ?? this.#pending;
		if (pending) {
			const body = JSON.stringify({ ...pending, keep });
			navigator.sendBeacon(`/bench/${this.design}/save`, new Blob([body], { type: 'application/json' }));
		} else if (keep) navigator.sendBeacon(`/bench/${this.design}/keep?on=leaving`);
	}
}
