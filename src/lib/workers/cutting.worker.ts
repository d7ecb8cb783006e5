import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import type { CuttingPlan, CuttingProblem } from '../core/cutting/cutting.ts';
import { leastSticks, type Solve } from '../core/cutting/patterns.ts';

/** What the worker answers: a plan, or that it could not prove one in the time it has. */
export type CuttingTell = { readonly plan: CuttingPlan } | { readonly plan: null };

/** Seconds after which a proof is given up; the plan that was found by rule stays. */
const PATIENCE = 20;

addEventListener('message', ({ data }: MessageEvent<CuttingProblem>) => {
	void cut(data).then((tell) => postMessage(tell));
});

async function cut(problem: CuttingProblem): Promise<CuttingTell> {
	const highs = await loadHighs({ locateFile: () => wasm });
	const solve: Solve = (programme) => {
		const { Status, ObjectiveValue, Columns } = highs.solve(programme, { time_limit: PATIENCE });
		const values: Record<string, number> = {};
		for (const [name, column] of Object.entries(Columns))
			values[name] = 'Primal' in column ? (column.Primal ?? 0) : 0;
		return { status: Status === 'Optimal' ? 'optimal' : 'stopped', values, bound: ObjectiveValue };
	};
	return { plan: leastSticks(problem, solve) ?? null };
}
