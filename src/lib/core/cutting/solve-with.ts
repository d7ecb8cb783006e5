import type { Solve } from './patterns.ts';

/** What is used of the solver: the worker brings it. */
export interface Highs {
	solve(
		programme: string,
		options: { readonly time_limit: number }
	): {
		readonly Status: string;
		readonly ObjectiveValue: number;
		readonly Columns: Readonly<Record<string, object>>;
		readonly Rows: readonly object[];
	};
}

/** Asks the solver, for so many seconds at most. */
export const solveWith =
	(highs: Highs, seconds: number): Solve =>
	(programme) => {
		const { Status, ObjectiveValue, Columns, Rows } = highs.solve(programme, { time_limit: seconds });
		const values: Record<string, number> = {};
		for (const [name, column] of Object.entries(Columns)) values[name] = 'Primal' in column ? Number(column.Primal ?? 0) : 0;
		const duals: Record<string, number> = {};
		for (const row of Rows) if ('Name' in row && 'Dual' in row) duals[String(row.Name)] = Number(row.Dual ?? 0);
		return { status: Status === 'Optimal' ? 'optimal' : 'stopped', values, duals, bound: ObjectiveValue };
	}; // prettier-ignore
