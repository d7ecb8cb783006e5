import type { Standard, Standards } from '../labour/standards.ts';
import { TASK_DEFINITIONS, TASKS, type Task } from '../labour/task.ts';

/** A line of the file of standards. */
export interface StandardRow {
	readonly task: string;
	readonly unit: string;
	readonly seconds: string;
	readonly batch: string;
}
export const STANDARD_COLUMNS = [
	'task',
	'unit',
	'seconds',
	'batch'
] as const satisfies readonly (keyof StandardRow)[];

/** Standards as lines of a file, as they are typed: what was timed stays here. */
export const standardRows = (standards: Standards): StandardRow[] =>
	TASKS.map((task) => ({
		task,
		unit: TASK_DEFINITIONS[task].unit,
		seconds: String(standards[task].seconds),
		batch: String(standards[task].batch)
	}));

const MOST = 86_400;
const valueOf = (text: string | undefined): number | undefined => {
	const value = Number((text ?? '').trim());
	return (text ?? '').trim() !== '' && Number.isFinite(value) && value >= 0 && value <= MOST
		? value
		: undefined;
};

/**
 * Standards with those of a file in their place; tasks the file says nothing of stay.
 * @returns a sentence for the first line that cannot be read: then nothing is taken
 */
export function withRows(
	rows: readonly Partial<StandardRow>[],
	standards: Standards
):
	| { readonly ok: true; readonly standards: Standards; readonly changed: number }
	| { readonly ok: false; readonly say: string } {
	const next: Record<Task, Standard> = { ...standards };
	let changed = 0;
	for (const [i, row] of rows.entries()) {
		const line = `Line ${i + 2}`;
		const task = TASKS.find((t) => t === row.task?.trim());
		if (!task) return { ok: false, say: `${line} names no task: “${(row.task ?? '').slice(0, 40)}”. Take it out, or name one as in the file you took away.` }; // prettier-ignore
		const [seconds, batch] = [valueOf(row.seconds), valueOf(row.batch ?? '0')];
		if (seconds === undefined || seconds === 0 || batch === undefined)
			return {
				ok: false,
				say: `${line}, ${task}: seconds are above 0 and at most a day, a batch 0 or more.`
			};
		const own = next[task];
		if (own.seconds === seconds && own.batch === batch) continue;
		changed++;
		next[task] = { ...own, seconds, batch, origin: 'typed' };
	}
	return { ok: true, standards: next, changed };
}
