import { dayNumber } from '../units/calendar-day.ts';
import {
	DAY_HOURS,
	EARLIEST_BUILD,
	eventDay,
	eventDays,
	HANDS,
	minutesOf,
	STAGE_WORDS,
	type JobDay,
	type Stage
} from './job.ts';

/** Something about the days of a job that she should know. */
export interface DayFinding {
	readonly level: 'bad' | 'watch';
	readonly say: string;
}

/** What the days are held against. */
export interface DayFacts {
	readonly today: string;
	/** Hours by the clock that building takes with all who are on it. */
	readonly buildHours: number;
	/** How much of what all of them get done these do in the same time: 1 is as much. */
	readonly pace: (people: readonly string[]) => number;
	/** Whether there is latex that is filled with air: it keeps for days, not for a week. */
	readonly hasAir: boolean;
	/** How a day is written here. */
	readonly words: (day: string) => string;
}

const hours = (n: number) => `${Math.round(n * 10) / 10} ${n > 0.95 && n < 1.05 ? 'hour' : 'hours'}`;

/** Judges the days of a job: their order, their hours, who does it, whether what is built lasts. The worst first. */
export function judgeDays(days: readonly JobDay[], { today, buildHours, pace, hasAir, words }: DayFacts): DayFinding[] {
	const found: DayFinding[] = [];
	const bad = (say: string) => found.push({ level: 'bad', say });
	const watch = (say: string) => found.push({ level: 'watch', say });
	const event = eventDay(days);
	const last = eventDays(days).at(-1);
	if (event === undefined) bad('No day is said for the event. Add it, and the other days can be held against it.');
	const isOver = last !== undefined && last < today;
	for (const day of days) {
		if (event !== undefined && last !== undefined) {
			if (isBefore(day.stage) && day.day > event)
				bad(`${STAGE_WORDS[day.stage]} stands after the event, on ${words(day.day)}. Move it before ${words(event)}.`); // prettier-ignore
			if (day.stage === 'strike' && day.day < last)
				bad(`Taken down on ${words(day.day)}, before the event is over. Move it to ${words(last)} or later.`); // prettier-ignore
			const early = dayNumber(event) - dayNumber(day.day);
			if (day.stage === 'build' && hasAir && early > EARLIEST_BUILD)
				watch(`Built ${early} days before. Latex in air looks fresh for ${EARLIEST_BUILD} at most: make frames and foils then, and the balloons later.`); // prettier-ignore
		}
		if (!isOver && day.stage === 'build' && day.day < today && event !== undefined)
			watch(`${words(day.day)} is over. If it was not built then, move it.`);
		if (!isOver && HANDS.has(day.stage) && day.people.length === 0)
			watch(`Nobody is on ${STAGE_WORDS[day.stage].toLowerCase()} on ${words(day.day)}. Tick who does it.`);
		const long = minutesOf(day);
		if (HANDS.has(day.stage) && long !== null && long > 14 * 60)
			watch(`${STAGE_WORDS[day.stage]} on ${words(day.day)} takes ${hours(long / 60)} on end. Is that meant?`);
	}
	for (const [after, before] of [['set up', 'drive'], ['event', 'set up']] as const) {
		const one = timed(days, before).at(-1);
		const next = timed(days, after)[0];
		if (one && next && one.at > next.at)
			bad(`${STAGE_WORDS[before]} begins after ${STAGE_WORDS[after].toLowerCase()} does, on ${words(one.day)}. One of the hours is wrong.`);
	}
	const builds = days.filter((d) => d.stage === 'build');
	const there = builds.reduce((a, d) => a + ((minutesOf(d) ?? DAY_HOURS * 60) / 60) * pace(d.people), 0);
	if (!isOver && buildHours > there + 0.25)
		(builds.length === 0 ? bad : watch)(
			builds.length === 0
				? `Building takes ${hours(buildHours)}, and no day is said for it.`
				: `Building takes ${hours(buildHours)} with these people, and there ${there > 1.05 ? 'are' : 'is'} ${hours(there)} for it. Add a day, or somebody to help.`
		);
	return found.sort((a, b) => Number(b.level === 'bad') - Number(a.level === 'bad'));
} // prettier-ignore

const isBefore = (stage: Stage): boolean => stage === 'build' || stage === 'drive' || stage === 'set up';

/** Stretches of a stage whose hour is settled, by when they begin. */
const timed = (days: readonly JobDay[], stage: Stage) =>
	days
		.flatMap((d) => (d.stage === stage && d.from !== null ? [{ ...d, at: dayNumber(d.day) * 1440 + d.from }] : []))
		.sort((a, b) => a.at - b.at); // prettier-ignore
