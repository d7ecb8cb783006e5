import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import type { BuildShop, PlannedTask } from './build-plan.ts';

/** Work of one person on one piece without a break, as it is drawn. Minutes after midnight. */
export interface PlanBlock {
	readonly job: string;
	readonly piece: string;
	readonly from: number;
	readonly to: number;
	readonly steps: readonly string[];
	readonly trouble: PlannedTask['trouble'];
}
export interface PlanDay {
	readonly day: string;
	readonly people: readonly { readonly person: string; readonly blocks: readonly PlanBlock[] }[];
}

/** A task on each of its days: what goes over a night ends with the hours of a day, and goes on with those of the next. */
function byDay(task: PlannedTask, { from, hours }: Pick<BuildShop, 'from' | 'hours'>): (PlannedTask & { readonly until: number })[] {
	const [first, last] = [dayNumber(task.day), dayNumber(task.endDay)];
	const evening = from + Math.round(hours * 60);
	return Array.from({ length: last - first + 1 }, (_, i) => ({
		...task,
		day: dayOfNumber(first + i),
		from: i === 0 ? task.from : from,
		until: first + i === last ? task.to : Math.max(evening, i === 0 ? task.from : from)
	})).filter((t) => t.until > t.from);
} // prettier-ignore

/** A plan day by day and person by person: what is done at one piece one after the other is one block. */
export function planBlocks(tasks: readonly PlannedTask[], shop: Pick<BuildShop, 'from' | 'hours' | 'people'>): PlanDay[] {
	const all = tasks.flatMap((t) => byDay(t, shop)).toSorted((a, b) => dayNumber(a.day) - dayNumber(b.day) || a.from - b.from);
	const days = [...new Set(all.map((t) => t.day))];
	return days.map((day) => ({
		day,
		people: shop.people.map(({ id }) => {
			const blocks: { job: string; piece: string; from: number; to: number; steps: string[]; trouble: PlannedTask['trouble'] }[] = [];
			for (const t of all) {
				if (t.day !== day || t.person !== id) continue;
				const before = blocks.at(-1);
				if (before && before.job === t.job && before.piece === t.piece && before.to === t.from && before.trouble === t.trouble) {
					before.to = t.until;
					before.steps.push(t.text);
				} else blocks.push({ job: t.job, piece: t.piece, from: t.from, to: t.until, steps: [t.text], trouble: t.trouble });
			}
			return { person: id, blocks };
		})
	}));
} // prettier-ignore
