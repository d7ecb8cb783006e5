import { type Micrometres, inches } from '../units/length.ts';
import type { Place } from '../document/cluster.ts';
import { sizeKey, type Size } from '../sizing/size.ts';

/** Where a task stands on the tape. */
export const TASK_GROUPS = ['inflate and size', 'build', 'set up, strike'] as const;
export type TaskGroup = (typeof TASK_GROUPS)[number];

interface TaskDefinition {
	readonly group: TaskGroup;
	/** Seconds a unit, and to set up a batch, where a studio has not timed its own. From memory. */
	readonly seconds: number;
	readonly batch: number;
}

/** Kinds of work: all that is known of one stands here. */
export const TASK_DEFINITIONS = {
	'inflate small': { group: 'inflate and size', seconds: 10, batch: 40 },
	'inflate medium': { group: 'inflate and size', seconds: 15, batch: 40 },
	'inflate large': { group: 'inflate and size', seconds: 30, batch: 40 },
	tie: { group: 'inflate and size', seconds: 6, batch: 0 },
	foil: { group: 'inflate and size', seconds: 40, batch: 0 },
	cluster: { group: 'build', seconds: 22, batch: 0 },
	attach: { group: 'build', seconds: 30, batch: 0 },
	patch: { group: 'build', seconds: 12, batch: 0 },
	upright: { group: 'build', seconds: 240, batch: 0 },
	fix: { group: 'build', seconds: 35, batch: 0 },
	'place extras': { group: 'build', seconds: 45, batch: 0 },
	'set up': { group: 'set up, strike', seconds: 900, batch: 0 },
	strike: { group: 'set up, strike', seconds: 480, batch: 0 },
	'inflate modelling': { group: 'inflate and size', seconds: 20, batch: 30 },
	'put inside': { group: 'build', seconds: 40, batch: 0 },
	'fill weight': { group: 'build', seconds: 60, batch: 120 },
	ribbon: { group: 'build', seconds: 30, batch: 0 },
	twist: { group: 'build', seconds: 5, batch: 0 },
	shape: { group: 'build', seconds: 30, batch: 0 },
	cut: { group: 'build', seconds: 6, batch: 0 },
	paint: { group: 'build', seconds: 60, batch: 300 },
	thread: { group: 'build', seconds: 180, batch: 0 },
	weave: { group: 'build', seconds: 14, batch: 0 },
	infill: { group: 'build', seconds: 15, batch: 0 },
	hang: { group: 'build', seconds: 60, batch: 0 }
} as const satisfies Readonly<Record<string, TaskDefinition>>;
export type Task = keyof typeof TASK_DEFINITIONS;
export const TASKS = Object.keys(TASK_DEFINITIONS) as Task[];

/** How a balloon is brought to size. A sizer hole is the default for anything stacked. */
export const METHODS = ['hole', 'strokes', 'eye'] as const;
export type Method = (typeof METHODS)[number];

export interface TaskCount {
	readonly task: Task;
	/** Of sizing; null where a task knows one way alone. */
	readonly method: Method | null;
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

/** Work that knows no method of sizing. @param count units of it @param batches what the tools are set for */
export const plainTask = (task: Task, count: number, ...batches: string[]): TaskCount => ({
	task,
	method: null,
	count,
	batches
});

/** Bringing balloons of one bag and size to size. @param place what was said of one of them */
export const sizingTask = (place: Pick<Place, 'nominal' | 'size' | 'method'>, count: number): TaskCount => ({
	task: inflateTask(place.nominal),
	method: methodOfPlace(place),
	count,
	batches: [sizeBatch(place)]
});
