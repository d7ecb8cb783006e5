import type { SheetPlan, SheetProblem } from '../../core/cutting/sheets.ts';
import SheetsWorker from '../../workers/sheets.worker.ts?worker';

/** How long typing rests before it is worked out, ms. */
const REST = 250;

/** Cuts sheets in a worker as the problem changes; made while a component is made. */
export class SheetCutter {
	found = $state.raw<{ readonly problem: SheetProblem; readonly plan: SheetPlan } | null>(null);

	/** @param problem what is to be cut; null while it cannot be read */
	constructor(problem: () => SheetProblem | null) {
		$effect(() => {
			// Typing never waits: the worker is an outside system, asked anew when the problem changes.
			const asked = problem();
			if (!asked) return;
			let worker: Worker | undefined;
			const waiting = setTimeout(() => {
				worker = new SheetsWorker();
				worker.onmessage = ({ data }: MessageEvent<SheetPlan>) =>
					(this.found = { problem: asked, plan: data });
				worker.postMessage(structuredClone(asked));
			}, REST);
			return () => {
				clearTimeout(waiting);
				worker?.terminate();
			};
		});
	}
}
