import { Keeper } from './keeper.ts';

/** What the screen says about saving. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'signed out' | 'refused' | 'stale';

/** What is kept until it is acknowledged: a document, by whatever name it is sent. */
export type Pending<D> = D & {
	readonly saveId: string;
	readonly baseRevision: number;
	/** The save it follows, where that one was still on its way: its revision counts as the base. */
	readonly after?: string | undefined;
};

export interface AutosaveOptions<D> {
	/** What it belongs to in the browser's store. */
	readonly about: string;
	/** Takes what is saved. */
	readonly url: string;
	readonly revision: number;
	/** What of it is sent; all of it where nothing is said. */
	body?(pending: Pending<D>): object;
	/** Called before anything is handed over: what it asks for then goes instead. */
	before?(): void;
	/** What stays in the store after a save, because it could not be sent; null is nothing. */
	left?(): D | null;
}

const WAIT = 350;
const RETRY = 3000;

/**
 * Saves a document by itself: one save at a time, each with an id of its own that is kept until it is acknowledged, and with
 * the revision it started from. What is not acknowledged lies in the browser's store from the moment it was made.
 */
export class Autosave<D extends object> {
	state = $state<SaveState>('saved');
	/** What somebody else has made of it, where that is newer. */
	theirs = $state.raw<(D & { readonly revision: number }) | null>(null);
	/** Why the server refused, in its words. */
	refusal = $state('');
	/** Whether what is not saved lies in the browser's store: one that is full keeps nothing. */
	keptHere = $state(true);
	revision: number;
	readonly #keeper: Keeper<Pending<D>>;
	/** What is sent next, as it lies in the store. */
	#next: Pending<D> | null = null;
	#flying: Promise<void> | null = null;
	#pending: Pending<D> | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;
	/** What the server last said. */
	#answered = 0;

	constructor(private readonly options: AutosaveOptions<D>) {
		this.revision = options.revision;
		this.#keeper = new Keeper(options.about);
	}

	/** What earlier visits could not hand over, the oldest first: of this tab, and of tabs that are gone. */
	leftOver(): Promise<Pending<D>[]> {
		return this.#keeper.takeOver();
	}
	async #write(pending: Pending<D>) {
		this.keptHere = await this.#keeper.put(pending);
	}

	/**
	 * Hands over what an earlier visit left. Where it had arrived after all, its id says so and nothing changes;
	 * where somebody saved in between, both stand side by side.
	 * @returns false where the server has gone on from it: theirs is the newer
	 */
	async resume(left: Pending<D>): Promise<boolean> {
		const { revision } = this;
		this.#pending = left;
		await this.#write(left);
		await this.#keeper.dropGone(left);
		await this.flush();
		if (this.#answered < revision && this.state === 'saved') return false;
		return true;
	}

	/** Forgets what a tab that is gone has left: it was taken up, or somebody has gone on from it. */
	forget(left: Pending<D>): Promise<void> {
		return this.#keeper.dropGone(left);
	}

	/** Asks for this to be saved soon. */
	want(document: D) {
		const saveId = this.#next?.saveId ?? crypto.randomUUID();
		this.#next = { ...document, saveId, baseRevision: this.revision, after: this.#pending?.saveId };
		void this.#write(this.#next);
		if (this.state === 'stale') return;
		this.state = 'waiting';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.flush(), WAIT);
	}

	/** Hands over what there is now. Resolves when nothing is left, or saving cannot go on. */
	async flush(): Promise<void> {
		this.options.before?.();
		clearTimeout(this.#timer);
		while (this.#flying || ((this.#next || this.#pending) && !this.#stuck)) {
			this.#flying ??= this.#send().finally(() => (this.#flying = null));
			await this.#flying;
		}
	}

	get #stuck() {
		return ['stale', 'offline', 'signed out', 'refused'].includes(this.state);
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
			response = await fetch(this.options.url, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(this.#bodyOf(this.#pending))
			});
		} catch {
			return this.#later();
		}
		const answer = (await response.json().catch(() => ({}))) as {
			revision?: number;
			theirs?: D & { readonly revision: number };
			message?: string;
		};
		if (response.ok && answer.revision !== undefined) {
			this.#answered = answer.revision;
			this.revision = Math.max(this.revision, answer.revision);
			this.#pending = null;
			if (!this.#next) void this.#rest();
			this.state = this.#next ? 'waiting' : 'saved';
		} else if (response.status === 409 && answer.theirs) {
			this.theirs = answer.theirs;
			// Mine stays to be found again if the page is closed before the owner has chosen.
			this.#next ??= this.#pending;
			this.#pending = null;
			this.state = 'stale';
		} else if (response.status === 401) this.#later('signed out');
		else if (response.status >= 400 && response.status < 500) {
			this.refusal = answer.message ?? 'The server refused this change.';
			this.#pending = null;
			// What was typed since then may be what it lacked: that is sent, whatever became of this.
			this.state = this.#next ? 'waiting' : 'refused';
		} else this.#later();
	}

	#bodyOf = (pending: Pending<D>): object => this.options.body?.(pending) ?? pending;

	/** All that could be sent is saved: the store is empty, but for what could not. */
	async #rest() {
		const left = this.options.left?.() ?? null;
		if (left === null) await this.#keeper.drop();
		else await this.#write({ ...left, saveId: crypto.randomUUID(), baseRevision: this.revision });
	}

	/** Tries again in a while: what is not saved is kept until then. */
	#later(why: 'offline' | 'signed out' = 'offline') {
		this.state = why;
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

	/**
	 * The page goes away: what is not acknowledged lies in the store, and is handed over on the way out.
	 * @param more sent with it @returns whether there was anything
	 */
	leave(more: object = {}): boolean {
		this.options.before?.();
		const pending = this.#next ?? this.#pending;
		if (!pending) return false;
		const body = JSON.stringify({ ...this.#bodyOf(pending), ...more });
		return navigator.sendBeacon(this.options.url, new Blob([body], { type: 'application/json' }));
	}
}
