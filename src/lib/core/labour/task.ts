import { type Micrometres, inches } from '../units/length.ts';
import type { Place } from '../document/cluster.ts';
import { sizeKey, type Size } from '../sizing/size.ts';
import { sphereLitres } from '../sizing/strokes.ts';

/** Where a task stands on the tape. */
export const TASK_GROUPS = ['inflate and size', 'build', 'at the place', 'around the job'] as const;
export type TaskGroup = (typeof TASK_GROUPS)[number];

/** What a task is counted by. */
export type TaskUnit = 'each' | 'litre' | 'foot' | 'minute';

export interface TaskDefinition {
	readonly group: TaskGroup;
	/** Seconds a unit, and to set up a batch, where a studio has not timed its own. From memory. */
	readonly seconds: number;
	readonly batch: number;
	readonly unit: TaskUnit;
	/** Done for a piece where it stands: when it comes there, or when it goes. */
	readonly site?: 'set up' | 'strike';
}

const inflating = (seconds: number, batch = 0, unit: TaskUnit = 'each'): TaskDefinition => ({
	group: 'inflate and size',
	seconds,
	batch,
	unit
});
const building = (seconds: number, batch = 0): TaskDefinition => ({
	group: 'build',
	seconds,
	batch,
	unit: 'each'
});
const there = (site: 'set up' | 'strike', seconds: number, unit: TaskUnit = 'each'): TaskDefinition => ({
	group: 'at the place',
	seconds,
	batch: 0,
	unit,
	site
});

/** Kinds of work on a piece: all that is known of one stands here. What a job takes around its pieces: `job.ts`. */
const DEFINED = {
	'inflate small': inflating(10, 40),
	'inflate medium': inflating(15, 40),
	/** Taking it, sealing it, checking its size; the air itself goes by the litre. */
	'inflate large': inflating(12, 40),
	/** An electric inflator gives some 1000 litres a minute. */
	'inflate large, air': inflating(0.06, 0, 'litre'),
	tie: inflating(6),
	/** Untangling the valve, sealing, looking it over; its air or gas goes by the litre. */
	foil: inflating(20),
	/** By a hand pump, half a litre a second; an electric one is some ten times as quick. */
	'foil, air': inflating(2, 0, 'litre'),
	'foil, helium': inflating(0.5, 0, 'litre'),
	'inflate modelling': inflating(20, 30),
	'cluster of two': building(10),
	cluster: building(22),
	'cluster of six': building(32),
	attach: building(30),
	patch: building(12),
	upright: building(240),
	fix: building(35),
	'place extras': building(45),
	'put inside': building(40),
	'fill weight': building(60, 120),
	ribbon: building(30),
	twist: building(5),
	shape: building(30),
	cut: building(6),
	paint: building(60, 300),
	thread: building(180),
	weave: building(14),
	infill: building(15),
	/** Going over a garland until no gap is left beside its large balloons. */
	'close gaps': building(20),
	'cut tube': building(60, 120),
	'bend tube': building(90, 120),
	'join tube': building(30),
	/** A foot of tube wound in tissue or fabric, painted, or with a balloon drawn over it. */
	'cover tube': building(40, 300),
	'stake a line': there('set up', 120),
	hang: building(60),
	/** A step in her own words, by the minutes she says. */
	'own steps': { group: 'build', seconds: 60, batch: 0, unit: 'minute' },
	'carry in, small': there('set up', 20),
	'carry in': there('set up', 150),
	'carry in, tall': there('set up', 300),
	'set on its table': there('set up', 15),
	'stand up': there('set up', 120),
	'stand up, tall': there('set up', 300),
	'level and look over': there('set up', 60),
	'put up along': there('set up', 40, 'foot'),
	'strike, small': there('strike', 15),
	strike: there('strike', 120),
	'strike, tall': there('strike', 300),
	'take down along': there('strike', 12, 'foot')
} as const satisfies Readonly<Record<string, TaskDefinition>>;
export type Task = keyof typeof DEFINED;
export const TASK_DEFINITIONS: Readonly<Record<Task, TaskDefinition>> = DEFINED;
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

/**
 * Bringing balloons of one bag and size to size. Large ones take what their air takes besides.
 * @param place what was said of one of them
 */
export function sizingTasks(place: Pick<Place, 'nominal' | 'size' | 'method'>, count: number): TaskCount[] {
	const task = inflateTask(place.nominal);
	const sizing = { task, method: methodOfPlace(place), count, batches: [sizeBatch(place)] };
	if (task !== 'inflate large' || count === 0) return [sizing];
	const { size, nominal } = place;
	const um = size.kind === 'value' ? size.um : size.kind === 'range' ? (size.low + size.high) / 2 : nominal;
	return [sizing, plainTask('inflate large, air', Math.round(sphereLitres(um / 1000)) * count)];
}

/** Tying balloons together by how many they are; one by itself is no cluster. @param count clusters alike */
export function clusterTasks(balloons: number, count: number): TaskCount[] {
	if (balloons < 2 || count === 0) return [];
	return [plainTask(balloons === 2 ? 'cluster of two' : balloons > 4 ? 'cluster of six' : 'cluster', count)];
}

/** `24 × cluster`, `76 litres: inflate large, air`: a task with how much of it there is. */
export function taskText({ task, count }: Pick<TaskCount, 'task' | 'count'>): string {
	const { unit } = TASK_DEFINITIONS[task];
	const many = String(Math.round(count * 10) / 10);
	return unit === 'each'
		? `${many} × ${task}`
		: `${task}, ${many} ${unit === 'foot' ? 'ft' : unit === 'litre' ? 'L' : 'min'}`;
}
