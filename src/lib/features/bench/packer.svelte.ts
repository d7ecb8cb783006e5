import type { Packing, PackJob, Packed } from '../../core/structures/run/pack-job.ts';
import type { PackingTell } from '../../workers/packing.worker.ts';
import PackingWorker from '../../workers/packing.worker.ts?worker';

/** How long typing rests before a run is packed, ms. */
const REST = 150;
/** Packings kept: those of a few steps back are there at once. */
const MOST_KEPT = 24;
/** Pictures ask again whenever they are drawn: older wishes are dropped. */
const MOST_ASKED = 6;

/** Packs the runs that are drawn, one after the other, in a worker; until one is there the picture is rough. */
export class Packer {
	#done = $state.raw<ReadonlyMap<string, Packing>>(new Map());
	/** What is being packed, and how far it is. */
	now = $state.raw<{ readonly key: string; readonly share: number } | null>(null);
	/** Jobs that were stopped or lost: they are packed when they are asked for by hand. */
	stopped = $state.raw<ReadonlySet<string>>(new Set());
	/** What pictures asked for since they were last drawn, and what the estimates of each section wait for. */
	#asked = new Map<string, PackJob>();
	#wanted = new Map<string, PackJob | undefined>();
	#worker: Worker | null = null;
	#waiting: ReturnType<typeof setTimeout> | undefined;

	/** @param ondone told when something is packed: what is counted by it can take it */
	constructor(private readonly ondone: () => void = () => undefined) {}

	/** Changes as packings come in: what is drawn with it is drawn anew. */
	readonly packed: Packed = $derived.by(() => {
		const done = this.#done;
		return (job) => {
			const found = done.get(job.key);
			if (!found) this.#asked.set(job.key, job);
			// Only what the newest picture asks for is packed.
			while (this.#asked.size > MOST_ASKED) this.#asked.delete(this.#asked.keys().next().value!);
			return found;
		};
	});

	find(key: string | undefined): Packing | undefined {
		return key === undefined ? undefined : this.#done.get(key);
	}

	/** What the estimates of a section wait for; undefined is nothing. */
	want(section: string, job: PackJob | undefined) {
		this.#wanted.set(section, job);
		this.go();
	}

	/** Goes on with what pictures and estimates ask for; what nobody asks for any more is let go. */
	go() {
		const jobs = new Map(this.#asked);
		for (const job of this.#wanted.values()) if (job) jobs.set(job.key, job);
		const open = [...jobs.values()].filter((j) => !this.#done.has(j.key) && !this.stopped.has(j.key));
		if (this.now && open.some((j) => j.key === this.now!.key)) return;
		this.close();
		const [next] = open;
		if (next) this.#waiting = setTimeout(() => this.#pack(next), REST);
	}

	#pack(job: PackJob) {
		this.now = { key: job.key, share: 0 };
		this.#worker = new PackingWorker();
		this.#worker.onmessage = ({ data }: MessageEvent<PackingTell>) => {
			if ('share' in data) {
				this.now = { key: job.key, share: data.share };
				return;
			}
			const kept = [...this.#done].filter(([key]) => key !== job.key).slice(-MOST_KEPT);
			this.#asked.delete(job.key);
			this.close();
			this.#done = new Map([...kept, [job.key, data.done]]);
			this.ondone();
			this.go();
		};
		// A worker that dies leaves the rough picture, and says so.
		this.#worker.onerror = () => this.stop();
		this.#worker.postMessage(job);
	}

	/** The rough picture is good enough. */
	stop() {
		if (this.now) this.stopped = new Set([...this.stopped, this.now.key]);
		this.close();
		this.go();
	}
	/** Packs again what was stopped. */
	again() {
		this.stopped = new Set();
		this.go();
	}
	close() {
		clearTimeout(this.#waiting);
		this.#worker?.terminate();
		this.#worker = null;
		this.now = null;
	}
}
