import type { Id } from '../document/id.ts';
import { dayNumber } from '../units/calendar-day.ts';
import { HANDS, minutesOf, type JobDay, type Stage } from './job.ts';

/** A job with its days, as others are held against it. */
export interface DatedJob {
	readonly id: Id;
	/** “12, Tidewick sailing club”. */
	readonly says: string;
	readonly days: readonly JobDay[];
}

/** Somebody who is wanted at two jobs at once, or perhaps: where an hour is not settled. */
export interface DoubleBooked {
	readonly person: Id;
	readonly day: string;
	readonly sure: boolean;
	readonly one: Where;
	readonly other: Where;
}
interface Where {
	readonly job: Id;
	readonly says: string;
	readonly stage: Stage;
}
interface Stretch extends Where {
	readonly day: string;
	/** Minutes since a day long ago; null is some time of that day. */
	readonly from: number | null;
	readonly to: number | null;
}

/** What each does of all jobs. */
function stretchesOf(jobs: readonly DatedJob[]): ReadonlyMap<Id, Stretch[]> {
	const found = new Map<Id, Stretch[]>();
	for (const { id: job, says, days } of jobs)
		for (const day of days) {
			if (!HANDS.has(day.stage)) continue;
			const midnight = dayNumber(day.day) * 1440;
			const long = minutesOf(day);
			const from = day.from === null || long === null ? null : midnight + day.from;
			const one = {
				job,
				says,
				stage: day.stage,
				day: day.day,
				from,
				to: from === null ? null : from + long!
			};
			for (const person of new Set(day.people)) found.set(person, [...(found.get(person) ?? []), one]);
		}
	return found;
}

/** Where people are wanted at two jobs at once: for sure where their hours overlap, perhaps where one is not settled. */
export function doubleBooked(jobs: readonly DatedJob[]): DoubleBooked[] {
	const found: DoubleBooked[] = [];
	for (const [person, stretches] of stretchesOf(jobs)) {
		const sorted = stretches.toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : (a.from ?? 0) - (b.from ?? 0)));
		sorted.forEach((one, i) => {
			for (const other of sorted.slice(i + 1)) {
				// What goes over midnight reaches into the next day, nothing further.
				if (dayNumber(other.day) - dayNumber(one.day) > 1) break;
				if (other.job === one.job) continue;
				const isSettled = one.from !== null && other.from !== null;
				const overlaps = isSettled && one.from < other.to! && other.from < one.to!;
				if (isSettled ? overlaps : one.day === other.day)
					found.push({ person, day: other.day, sure: isSettled, one: whereOf(one), other: whereOf(other) });
			}
		});
	}
	const seen = new Set<string>();
	return found
		.toSorted((a, b) => Number(b.sure) - Number(a.sure) || (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
		.filter(({ person, day, one, other }) => {
			const key = [person, day, ...[one.job, other.job].sort()].join();
			return !seen.has(key) && seen.add(key);
		});
} // prettier-ignore

const whereOf = ({ job, says, stage }: Stretch): Where => ({ job, says, stage });
