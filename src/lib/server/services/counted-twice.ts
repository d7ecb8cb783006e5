import { DAY_MS, dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { Repos } from '../repos/index.ts';

/** A piece that was counted by itself within so many days of a job was probably built for it. House rule. */
export const AROUND = 21;

/** A piece of a job that was also counted back by itself: what it took went off the shelf then. */
export interface CountedAlone {
	readonly name: string;
	readonly at: Date;
}
/** A job a design was counted back with. */
export interface CountedWith {
	readonly job: string;
	readonly client: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
}

/** Pieces of a job that were counted back by themselves about its day, each as it was counted last. */
export async function countedAlone(
	repos: Repos,
	{ pieces, day }: { readonly pieces: readonly { readonly id: string; readonly name: string }[]; readonly day: string | null }
): Promise<CountedAlone[]> {
	if (day === null) return [];
	const names = new Map(pieces.map((p) => [p.id, p.name]));
	const at = dayNumber(day);
	const found = await repos.countBacks.between([...names.keys()], new Date((at - AROUND) * DAY_MS), new Date((at + AROUND + 1) * DAY_MS));
	return [...new Map(found.map((c) => [c.design, c.countedAt] as const))].map(([design, last]) => ({ name: names.get(design)!, at: last }));
} // prettier-ignore

/** Jobs of the last days with this design among their pieces that were counted back, the newest first. */
export const countedWith = (repos: Repos, design: string, today: string): Promise<CountedWith[]> =>
	repos.jobFigures.withPiece(design, { from: dayOfNumber(dayNumber(today) - AROUND), to: today });
