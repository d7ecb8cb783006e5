import type { LeftAs } from './job.ts';
import { plainTask, TASK_DEFINITIONS, type Task, type TaskCount } from './task.ts';

/** A piece as it comes to its place: how it stands there and how large it is. */
export interface SitePiece {
	readonly how: 'stands' | 'on a table' | 'along';
	/** Height of what stands, length of what goes along something, mm. */
	readonly mm: number;
}

/** Up to this it is carried in one hand, over that one somebody holds it while another fixes it. House rule, mm. */
const [SMALL, TALL] = [900, 2000];
const FOOT = 304.8;
/** What one person carries in one go, kg. House rule, from memory: local rules for lifting go first. */
export const ONE_GO = 12;

/**
 * What a piece takes where it stands: carried in, stood up or put up, levelled, taken away again, by its own size and how
 * it stands; what lies on a table takes seconds.
 * @param kg what it weighs as far as the Stockroom knows
 */
export function siteTasks(piece: SitePiece, kg = 0): TaskCount[] {
	const own = tasksBySize(piece);
	// What is too heavy for one go is carried in parts, there and back again.
	const more = Math.max(0, Math.ceil(kg / ONE_GO - 1e-9) - 1);
	return more === 0 ? own : [...own, plainTask('carry in', more), plainTask('strike', more)];
}

function tasksBySize({ how, mm }: SitePiece): TaskCount[] {
	const once = (...tasks: Task[]) => tasks.map((task) => plainTask(task, 1));
	if (how === 'along') {
		const feet = Math.max(1, Math.ceil(mm / FOOT - 1e-6));
		const carried = mm > TALL ? 'carry in' : 'carry in, small';
		return [...once(carried), plainTask('put up along', feet), plainTask('take down along', feet)];
	}
	if (how === 'on a table' && mm <= TALL) return once('carry in, small', 'set on its table', 'strike, small');
	if (how === 'on a table') return once('carry in', 'set on its table', 'level and look over', 'strike');
	if (mm <= SMALL) return once('carry in, small', 'level and look over', 'strike, small');
	return mm > TALL
		? once('carry in, tall', 'stand up, tall', 'level and look over', 'strike, tall')
		: once('carry in', 'stand up', 'level and look over', 'strike');
}

/** When work is done at the place; undefined where it is done before. */
export const siteOf = ({ task }: Pick<TaskCount, 'task'>): 'set up' | 'strike' | undefined =>
	TASK_DEFINITIONS[task].site;

/** Whether work is done at all on a job whose pieces are left so. */
export function isDone(task: Pick<TaskCount, 'task'>, leftAs: LeftAs): boolean {
	const when = siteOf(task);
	if (when === undefined || leftAs === 'set up and struck') return true;
	return when === 'set up' && (leftAs === 'set up and left' || task.task.startsWith('carry in'));
}
