import type { Risk, RiskModel } from '../../core/study/risk.ts';
import type { RiskTell } from '../../workers/risk.worker.ts';

/** How long nothing may change before a study begins, ms: typing goes first. */
const QUIET = 500;

/** How sure a price is, worked out beside the page: the newest question alone, told as it goes. */
export class RiskStudy {
	/** How far it is, 0 to 1; null where nothing is being worked out. */
	share = $state<number | null>(null);
	risk = $state.raw<Risk | null>(null);
	/** The last answer is of what stood before. */
	isStale = $state(false);
	failed = $state(false);
	#worker: Worker | undefined;
	#waiting: ReturnType<typeof setTimeout> | undefined;
	#asked = '';

	/** Asks for a study once nothing changes any more; the same question is not asked again. */
	ask(model: RiskModel | null) {
		const key = JSON.stringify(model);
		if (key === this.#asked) return;
		this.#asked = key;
		this.stop();
		this.isStale = this.risk !== null;
		if (!model) {
			this.risk = null;
			return;
		}
		this.#waiting = setTimeout(() => this.#begin(model), QUIET);
	}
	#begin(model: RiskModel) {
		this.share = 0;
		this.failed = false;
		const worker = new Worker(new URL('../../workers/risk.worker.ts', import.meta.url), { type: 'module' });
		this.#worker = worker;
		worker.onmessage = ({ data }: MessageEvent<RiskTell>) => {
			if ('share' in data) {
				this.share = data.share;
				return;
			}
			this.risk = data.done;
			this.isStale = false;
			this.stop();
		};
		worker.onerror = () => {
			this.failed = true;
			this.stop();
		};
		worker.postMessage(model);
	}
	/** Gives up what is being worked out; the last answer stays. */
	stop() {
		clearTimeout(this.#waiting);
		this.#worker?.terminate();
		this.#worker = undefined;
		this.share = null;
	}
	/** Given up by hand: it may be asked again. */
	cancel() {
		this.stop();
		this.#asked = '';
	}
}
