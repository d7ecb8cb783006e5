import loadHighs from 'highs';
import type { Solve } from '../../core/cutting/patterns.ts';
import { solveWith } from '../../core/cutting/solve-with.ts';

let loaded: Promise<Parameters<typeof solveWith>[0]> | undefined;
/** The solver, for so many seconds at most. It holds up whoever runs it: on a thread only. */
export const solver = async (seconds: number): Promise<Solve> => {
	loaded ??= loadHighs();
	return solveWith(await loaded, seconds);
};
