import { crewFor, type Rates } from '../cost/rates.ts';
import type { Cost } from '../cost/cost.ts';
import { TASK_DEFINITIONS } from '../labour/task.ts';

/** The work on the pieces of a job. */
export interface JobHours {
	/** Standard hours at the bench, and by the clock with whoever does it. */
	readonly standard: number;
	readonly build: number;
	/** Hours by the clock there: standing it up, and taking it down. */
	readonly setUp: number;
	readonly strike: number;
	/** Hours by the clock that a standard hour takes. */
	readonly clock: number;
}

/** The work a cost was reckoned with, by when it is done. @param people ids of who does it */
export function hoursOf({ labour }: Pick<Cost, 'labour'>, rates: Rates, people: readonly string[]): JobHours {
	const clock = crewFor(rates, people).clock.valueOf();
	let [standard, setUp, strike] = [0, 0, 0];
	for (const { tasks } of labour)
		for (const { task, seconds } of tasks) {
			const hours = seconds.valueOf() / 3600;
			const { site } = TASK_DEFINITIONS[task];
			if (site === 'set up') setUp += hours;
			else if (site === 'strike') strike += hours;
			else standard += hours;
		}
	return { standard, build: standard * clock, setUp: setUp * clock, strike: strike * clock, clock };
}
