import { type Micrometres, inches } from '../units/length.ts';
import type { Place } from '../document/cluster.ts';
import { sizeKey, type Size } from '../sizing/size.ts';

/** Kinds of work with a time standard. */
export const TASKS = [
	'inflate small', 'inflate medium', 'inflate large', 'tie', 'foil', 'cluster', 'attach', 'patch', 'upright', 'fix',
	'place extras', 'set up', 'strike', 'inflate modelling', 'put inside', 'fill weight', 'ribbon', 'twist', 'shape', 'cut',
	'paint', 'thread', 'weave', 'infill', 'hang'
] as const; // prettier-ignore
export type Task = (typeof TASKS)[number];

/** How a balloon is brought to size. A sizer hole is the default for anything stacked. */
export const METHODS = ['hole', 'strokes', 'eye'] as const;
export type Method = (typeof METHODS)[number];

export interface TaskCount {
	readonly task: Task;
	/** Of sizing only; other tasks know one method. */
	readonly method: Method;
	readonly count: number;
	/** What the tools are set for, each told by a word: a size, say. Set once for all that is built together. */
	readonly batches: readonly string[];
	/** Of an estimate: how many fewer and how many more it may be. */
	readonly ends?: { readonly less: number; readonly more: number } | undefined;
}

/** Size classes by the nominal size: up to 6 in, up to 12 in, larger. House rule. */
export function inflateTask(nominal: Micrometres): Task {
	if (nominal <= inches(6)) return 'inflate small';
	return nominal <= inches(12) ? 'inflate medium' : 'inflate large';
}

export function methodOf(size: Size): Method {
	if (size.kind === 'value') return 'hole';
	return size.kind === 'strokes' ? 'strokes' : 'eye';
}

/** What was said of the place, else what its size says. Strokes are counted whatever else is said. */
export const methodOfPlace = ({ size, method }: Pick<Place, 'size' | 'method'>): Method =>
	size.kind === 'strokes' || method === null ? methodOf(size) : method;

/** The batch that balloons of one bag and size are sized in. */
export const sizeBatch = ({ nominal, size }: Pick<Place, 'nominal' | 'size'>): string =>
	`${nominal}/${sizeKey(size)}`;

/** Where a task stands on the tape. */
export const TASK_GROUPS = ['inflate and size', 'build', 'set up, strike'] as const;
export type TaskGroup = (typeof TASK_GROUPS)[number];

export function groupOf(task: Task): TaskGroup {
	if (task.startsWith('inflate') || task === 'tie' || task === 'foil') return 'inflate and size';
	return task === 'set up' || task === 'strike' ? 'set up, strike' : 'build';
}
