import type { Worker, Task } from '../schedule/schedule.ts';
import { solve, type Effort } from '../schedule/solve.ts';
import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { DAY_HOURS } from './job.ts';

/** Something to be built at the bench. Minutes of work are those of the standards. */
export interface BuildTask {
	readonly id: string;
	/** The piece it is of, and what is done. */
	readonly piece: string;
	readonly text: string;
	readonly minutes: number;
	/** Minutes it dries or sets before it is gone on with. */
	readonly wait: number;
	readonly after: readonly string[];
	/** Days before the event from which it may be built. */
	readonly ahead: number;
	/** What it takes up besides a place at the bench. */
	readonly needs: readonly string[];
}

/** The building of one job. */
export interface BuildJob {
	readonly id: string;
	readonly says: string;
	/** `YYYY-MM-DD` of its event, and when its pieces leave the bench: a day and minutes after midnight. */
	readonly event: string;
	readonly leaves: { readonly day: string; readonly minute: number };
	readonly tasks: readonly BuildTask[];
}

/** Who builds, and where. */
export interface BuildShop {
	readonly people: readonly { readonly id: string; readonly name: string; readonly pace: number }[];
	/** When they begin, minutes after midnight, and how many hours a day each is at the bench. */
	readonly from: number;
	readonly hours: number;
	readonly benches: number;
	readonly cylinders: number;
	/** When somebody is elsewhere: on the road, at a place. */
	readonly away: readonly { readonly person: string; readonly day: string; readonly from: number; readonly to: number }[];
} // prettier-ignore

/** A task with its hours. Days as `YYYY-MM-DD`, minutes after midnight. */
export interface PlannedTask {
	readonly job: string;
	readonly task: string;
	readonly piece: string;
	readonly text: string;
	readonly person: string;
	readonly day: string;
	readonly from: number;
	readonly endDay: string;
	readonly to: number;
	/** Begun before it may be: `past` before today, `early` before it keeps. */
	readonly trouble: 'past' | 'early' | null;
}

export interface BuildPlan {
	readonly tasks: readonly PlannedTask[];
	/** Minutes by which the worst begins too early; 0 where all fits. At least `bound` in any plan. */
	readonly misses: number;
	readonly bound: number;
	readonly proved: boolean;
	/** Minutes of work that begin too early. */
	readonly short: number;
}

/** Days before today the plan goes back to, so that what is too late is seen. */
const BACK = 60;
const DAY = 24 * 60;
/** Work of one kind longer than this is shared by several hands. Minutes. */
const SHARED = 60;

/**
 * The building of several jobs, backwards from when each leaves: everything as late as may be, for what is blown up is
 * best fresh, by whoever has hours left, at a bench with room. What cannot be is begun before its day, as little as can
 * be: how much is told, and that no plan does better, or by how much it might.
 * @param today no work is done before it
 */
export function buildPlan(
	jobs: readonly BuildJob[],
	shop: BuildShop,
	today: string,
	effort: Effort
): BuildPlan {
	const zero = dayNumber(today);
	const minute = (day: string, of: number) => (dayNumber(day) - zero) * DAY + of;
	const ends = jobs.map((j) => minute(j.leaves.day, j.leaves.minute));
	const last = Math.max(DAY, ...ends) + DAY;
	const back = (time: number) => last - time;
	const about = new Map<string, { job: BuildJob; task: BuildTask; opens: number }>();
	const tasks: Task[] = [];
	for (const [i, job] of jobs.entries()) {
		const pieces = shared(job.tasks);
		const followers = new Map<string, string[]>();
		for (const t of pieces) for (const id of t.after) followers.set(id, [...(followers.get(id) ?? []), t.id]);
		for (const task of pieces) {
			const opens = Math.max(0, minute(job.event, 0) - task.ahead * DAY);
			const id = `${job.id}/${task.id}`;
			about.set(id, { job, task, opens });
			// The other way round: what follows it comes first.
			const after = (followers.get(task.id) ?? []).map((f) => ({ id: `${job.id}/${f}`, lag: task.wait }));
			tasks.push({ id, minutes: task.minutes, release: back(ends[i]!) + task.wait, due: back(opens), after, needs: ['bench', ...task.needs], of: `${job.id}/${task.piece}` }); // prettier-ignore
		}
	}
	const workers = shop.people.map(({ id, pace }): Worker => {
		const hours: [number, number][] = [];
		for (let d = Math.floor(last / DAY); d >= -BACK; d--)
			for (const [from, to] of atBench(shop, id, dayOfNumber(zero + d)).toReversed())
				hours.push([back(d * DAY + to), back(d * DAY + from)]);
		return { id, pace, hours: hours.filter(([from]) => from >= 0) };
	});
	const { placed, late, bound, proved, left } = solve({ tasks, workers, room: { bench: shop.benches, cylinder: shop.cylinders } }, effort); // prettier-ignore
	const planned = placed.map((p): PlannedTask & { readonly minutes: number } => {
		const { job, task, opens } = about.get(p.task)!;
		const [start, end] = [back(p.end), back(p.start)];
		return {
			job: job.id,
			task: task.id,
			piece: task.piece,
			text: task.text,
			person: p.worker,
			...at(start, zero),
			endDay: at(end, zero).day,
			to: at(end, zero).from,
			trouble: start >= opens ? null : start < 0 ? 'past' : 'early',
			minutes: task.minutes
		};
	});
	const unplaced = left.reduce((a, id) => a + about.get(id)!.task.minutes, 0);
	const short = planned.reduce((a, p) => a + (p.trouble ? p.minutes : 0), unplaced);
	const byTime = (a: PlannedTask, b: PlannedTask) => dayNumber(a.day) - dayNumber(b.day) || a.from - b.from;
	return {
		tasks: planned.map(({ minutes: _, ...p }) => p).toSorted(byTime),
		misses: late,
		bound,
		proved,
		short
	};
}

const at = (time: number, zero: number): { readonly day: string; readonly from: number } => ({
	day: dayOfNumber(zero + Math.floor(time / DAY)),
	from: ((time % DAY) + DAY) % DAY
});

/** When somebody is at the bench on a day: their hours but for those they are elsewhere. */
export function atBench({ from, hours, away }: Pick<BuildShop, 'from' | 'hours' | 'away'>, person: string, day: string): readonly (readonly [number, number])[] {
	let free: (readonly [number, number])[] = [[from, Math.min(DAY, from + Math.round(hours * 60))]];
	for (const a of away)
		if (a.person === person && a.day === day)
			free = free.flatMap(([f, t]): (readonly [number, number])[] => [[f, Math.min(t, a.from)], [Math.max(f, a.to), t]]).filter(([f, t]) => t > f);
	return free;
} // prettier-ignore

/** Long work as parts that several can do at once. */
function shared(tasks: readonly BuildTask[]): BuildTask[] {
	const parts = new Map<string, string[]>();
	for (const { id, minutes } of tasks) {
		const many = Math.max(1, Math.ceil(minutes / SHARED));
		parts.set(id, many === 1 ? [id] : Array.from({ length: many }, (_, i) => `${id}~${i + 1}`));
	}
	return tasks.flatMap((task) => {
		const own = parts.get(task.id)!;
		const after = task.after.flatMap((a) => parts.get(a) ?? []);
		const minutes = task.minutes / own.length;
		return own.map((id, i) => ({ ...task, id, minutes, after, text: own.length > 1 ? `${task.text} (${i + 1} of ${own.length})` : task.text })); // prettier-ignore
	});
}

/** Something that would make it fit, or fit better. */
export interface WayOut {
	readonly say: string;
	/** Minutes by which the worst begins too early then. */
	readonly misses: number;
}

/** What would make a plan fit that does not: each tried, the best first; those that change nothing are left out. */
export function waysOut(
	jobs: readonly BuildJob[],
	shop: BuildShop,
	{ today, misses }: { readonly today: string; readonly misses: number },
	effort: Effort
): WayOut[] {
	const helper = { id: 'one more', name: 'one more', pace: 1 };
	const longer = Math.min(16, shop.hours + 2);
	const tries: [string, readonly BuildJob[], BuildShop][] = [
		['One more pair of hands, hired or asked', jobs, { ...shop, people: [...shop.people, helper] }],
		[`${longer} hours a day instead of ${shop.hours}`, jobs, { ...shop, hours: longer }],
		['One more place at the bench', jobs, { ...shop, benches: shop.benches + 1 }],
		['One more cylinder', jobs, { ...shop, cylinders: shop.cylinders + 1 }],
		[
			'Beginning a day sooner: larger balloons of what is built first, or treated inside, keep that long',
			jobs.map((j) => ({ ...j, tasks: j.tasks.map((t) => ({ ...t, ahead: t.ahead + 1 })) })),
			shop
		]
	];
	return tries
		.map(([say, own, other]): WayOut => ({ say, misses: buildPlan(own, other, today, effort).misses }))
		.filter((w) => w.misses < misses)
		.toSorted((a, b) => a.misses - b.misses);
}

/** As a studio starts: one works from nine, the usual hours, two places at the bench and one cylinder. */
export const USUAL_SHOP = { from: 9 * 60, hours: DAY_HOURS, benches: 2, cylinders: 1 } as const;
