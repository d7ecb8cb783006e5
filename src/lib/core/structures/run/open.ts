import { um, type Micrometres } from '../../units/length.ts';
import type { Run } from './document.ts';
import { layRun } from './lay.ts';
import { lengthOfRun } from './path.ts';
import { scalePath } from './scale-path.ts';

/** A run whose path is so long and of the same shape; arms stay. @param length µm */
export function asLong(run: Run, length: Micrometres): Run {
	const arms = run.branches.reduce((a, b) => a + b.length * (b.kind === 'cross' ? 2 : 1), 0);
	const now = Math.round(lengthOfRun(run) * 1000) - arms;
	const factor = now > 0 ? Math.max(0.001, length - arms) / now : 1;
	return {
		...run,
		path: scalePath(run.path, (v) => um(Math.max(1, Math.round(v * factor)))),
		open: undefined
	};
}

/** The mean of the ends, to which a length is taken that nobody knows. */
export const usualOf = ({ low, high }: NonNullable<Run['open']>): Micrometres =>
	um(Math.round((low + high) / 2));

/** A run of so many clusters: an open one is then as long as they stand, and its length known. */
export function withClusters(run: Run, clusters: number): Run {
	const laid = layRun(run).length;
	if (!run.open || laid === 0) return { ...run, clusters };
	const length = um(Math.round((lengthOfRun(run) * 1000 * clusters) / laid));
	const built = asLong(run, length);
	return layRun(built).length === clusters ? built : { ...built, clusters };
}
