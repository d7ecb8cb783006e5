/** Minutes from any beginning. All times here are whole minutes. */
export type Minute = number;

/** Something to be done by one pair of hands without another in between; nights go over it. */
export interface Task {
	readonly id: string;
	/** Of work for whoever goes at the pace of the standards, above 0. */
	readonly minutes: number;
	/** Not begun before, and to be over by. */
	readonly release: Minute;
	readonly due: Minute;
	/** What has to be over, and how long after that it may begin. */
	readonly after: readonly { readonly id: string; readonly lag: number }[];
	/** What it takes up while it is done: a place at the bench, a cylinder. */
	readonly needs: readonly string[];
	/** What it is a part of: hands stay at one thing rather than change to and fro. */
	readonly of?: string | undefined;
}

export interface Worker {
	readonly id: string;
	/** Minutes by the clock for a minute of work. */
	readonly pace: number;
	/** When they work: apart from each other, in order. */
	readonly hours: readonly (readonly [from: Minute, to: Minute])[];
}

/** What is to be done, by whom, and how many there are of what is taken up; what is not named there is without end. */
export interface Shop {
	readonly tasks: readonly Task[];
	readonly workers: readonly Worker[];
	readonly room: Readonly<Record<string, number>>;
}

export interface Placed {
	readonly task: string;
	readonly worker: string;
	readonly start: Minute;
	readonly end: Minute;
}

/** A plan, and how good it is known to be. */
export interface Schedule {
	readonly placed: readonly Placed[];
	/** Minutes by which the latest is over after it is due; 0 where all fits. */
	readonly late: number;
	/** No plan at all has less. */
	readonly bound: number;
	/** That nothing is better was shown: by the bound, or by going through all there are. */
	readonly proved: boolean;
	/** Tasks nobody’s hours are left for. */
	readonly left: readonly string[];
}

/** @throws RangeError where tasks wait for each other, or for one that is not there */
export function inOrder(tasks: readonly Task[]): Task[] {
	const known = new Set(tasks.map((t) => t.id));
	const missing = tasks.flatMap((t) => t.after).find((a) => !known.has(a.id));
	if (missing) throw new RangeError(`${missing.id} is waited for and is not there.`);
	const waits = new Map(tasks.map((t) => [t.id, t.after.length]));
	const next = new Map<string, Task[]>();
	for (const task of tasks) for (const { id } of task.after) next.set(id, [...(next.get(id) ?? []), task]);
	const ready = tasks.filter((t) => t.after.length === 0);
	const done: Task[] = [];
	for (let task = ready.shift(); task; task = ready.shift()) {
		done.push(task);
		for (const follower of next.get(task.id) ?? []) {
			const left = waits.get(follower.id)! - 1;
			waits.set(follower.id, left);
			if (left === 0) ready.push(follower);
		}
	}
	if (done.length < tasks.length) throw new RangeError('These wait for each other.');
	return done;
}
