import type { CuttingPlan, CuttingProblem } from '../../core/cutting/cutting.ts';
import type { CuttingProgress } from '../../core/cutting/columns.ts';
import { firstFitDecreasing } from '../../core/cutting/first-fit-decreasing.ts';
import { readCutting, type CuttingErrors, type CuttingText } from '../../core/cutting/read-cutting.ts';
import type { Currency } from '../../core/money/money.ts';
import type { NumberStyle } from '../../core/units/number.ts';
import type { CuttingTell } from '../../workers/cutting.worker.ts';
import CuttingWorker from '../../workers/cutting.worker.ts?worker';

/** How long typing rests before the proof is begun, ms. */
const REST = 350;

/** Pieces to cut and the best plan so far: one by rule at once, the proved one when the worker has it. */
export class Cutter {
	typed = $state<CuttingText>({
		pieces: '4 × 6 ft\n8 × 30 in\n6 × 18 in',
		stock: '10 ft at 8.40',
		kerf: '⅛'
	});
	/** What the worker found for the problem that stands there now. */
	#proved = $state.raw<{ problem: CuttingProblem; plan: CuttingPlan | null } | null>(null);
	#progress = $state.raw<(CuttingProgress & { problem: CuttingProblem }) | null>(null);
	#stopped = $state.raw<CuttingProblem | null>(null);
	#worker: Worker | null = null;
	#waiting: ReturnType<typeof setTimeout> | undefined;
	/** The last problem that could be read: its plan stays in sight while a field is typed. */
	#last: CuttingProblem | undefined;
	readonly #read = $derived.by(() =>
		this.given ? { problem: this.given } : readCutting(this.typed, this.context)
	);
	readonly errors: CuttingErrors = $derived('errors' in this.#read ? this.#read.errors : {});
	readonly stale = $derived('errors' in this.#read);
	readonly problem = $derived.by(() =>
		'problem' in this.#read ? (this.#last = this.#read.problem) : this.#last
	);
	readonly plan = $derived.by((): CuttingPlan | undefined => {
		if (!this.problem) return undefined;
		const proved = this.#proved?.problem === this.problem ? this.#proved.plan : null;
		return proved ?? firstFitDecreasing(this.problem);
	});
	/** Whether the worker is still looking for a better plan, or for the proof that there is none. */
	readonly looking = $derived.by(() => {
		const { problem, plan } = this;
		if (!problem || plan?.status !== 'cut' || plan.proved) return false;
		return this.#proved?.problem !== problem && this.#stopped !== problem;
	});

	/** How far the search is, while it goes on. */
	readonly progress = $derived.by(() =>
		this.looking && this.#progress?.problem === this.problem ? this.#progress : null
	);

	/** @param given what is cut, where nobody types it */
	constructor(
		private readonly context: { readonly currency: Currency; readonly style: NumberStyle },
		private readonly given?: CuttingProblem
	) {}

	/** Asks the worker for the problem that stands there now. */
	prove() {
		const { problem } = this;
		if (!problem || !this.looking) return;
		this.#waiting = setTimeout(() => {
			this.#worker = new CuttingWorker();
			this.#worker.onmessage = ({ data }: MessageEvent<CuttingTell>) => {
				if (data.progress) {
					this.#progress = { problem, ...data.progress };
					return;
				}
				this.#proved = { problem, plan: data.plan };
				this.close();
			};
			this.#worker.onerror = () => this.stop();
			// What the screen holds is not taken along: a plain copy is.
			this.#worker.postMessage(structuredClone(problem));
		}, REST);
	}
	/** The plan by rule is good enough. */
	stop() {
		this.#stopped = this.problem ?? null;
		this.close();
	}
	/** Lets go of what is being asked. */
	close() {
		clearTimeout(this.#waiting);
		this.#worker?.terminate();
		this.#worker = null;
	}
}
