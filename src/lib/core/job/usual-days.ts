import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import type { LeftAs } from '../labour/job.ts';
import { DAY_HOURS, type JobDay, type Stage } from './job.ts';

/** What the days of a job are reckoned from before anybody said them. */
export interface Reckoned {
	/** The day of the event. */
	readonly event: string;
	/** Standard hours of building all its pieces. */
	readonly buildHours: number;
	/** Ids of who is on it. */
	readonly people: readonly string[];
	/** Hours by the clock that a standard hour takes with them. */
	readonly clock: number;
	/** Whether something of it floats: helium in latex lasts the day. */
	readonly floats: boolean;
	readonly leftAs: LeftAs;
}

/**
 * The days of a job as they usually come: built on as many days before the event as it takes, set up and struck on the day
 * itself; what floats is filled on the day. House rule, after common practice.
 */
export function usualDays({ event, buildHours, people, clock, floats, leftAs }: Reckoned): JobDay[] {
	const at = dayNumber(event);
	const made = (stage: Stage, day: number, n = ''): JobDay => ({
		id: `${stage.replace(' ', '-')}${n}`,
		stage,
		day: dayOfNumber(day),
		from: null,
		to: null,
		people: stage === 'event' ? [] : people,
		note: stage === 'build' && day === at ? 'what floats' : ''
	});
	const days = buildHours > 0 ? Math.max(1, Math.ceil((buildHours * clock) / DAY_HOURS - 1e-9)) : 0;
	return [
		...Array.from({ length: days }, (_, i) => made('build', at - days + i, `-${i + 1}`)),
		...(floats ? [made('build', at, '-air')] : []),
		made('drive', at),
		...(leftAs === 'delivered and left' ? [] : [made('set up', at)]),
		made('event', at),
		...(leftAs === 'set up and struck' ? [made('strike', at)] : [])
	];
}
