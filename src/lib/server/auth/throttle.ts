import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

/** How often something may fail within so many seconds, and how long it is then refused, s. */
export interface Limit {
	readonly points: number;
	readonly duration: number;
	readonly blockDuration: number;
}

const QUARTER_HOUR = 15 * 60;
/** One account is guessed at seldom; behind one address many may sit. */
export const LIMITS = {
	account: { points: 10, duration: QUARTER_HOUR, blockDuration: QUARTER_HOUR },
	address: { points: 50, duration: QUARTER_HOUR, blockDuration: QUARTER_HOUR },
	/** Links that nobody has, from one address. */
	link: { points: 60, duration: 60, blockDuration: 5 * 60 },
	/** Letters with a new password, to one account. */
	letter: { points: 3, duration: 60 * 60, blockDuration: 60 * 60 }
} as const satisfies Readonly<Record<string, Limit>>;
export type Limited = keyof typeof LIMITS;

/** Counts tries that failed, by account and by address. In memory: a restart forgets it, and who guesses cannot restart it. */
export function openThrottle(limits: Readonly<Record<Limited, Limit>> = LIMITS) {
	const counters = Object.fromEntries(
		Object.entries(limits).map(([name, limit]) => [
			name,
			new RateLimiterMemory({ keyPrefix: name, ...limit })
		])
	) as Record<Limited, RateLimiterMemory>;
	return {
		/**
		 * One more try, counted before it is made: however many come at once, no more than the limit are let through.
		 * @returns seconds until it may be tried again; 0 where it may be tried now
		 */
		async take(of: Limited, key: string): Promise<number> {
			try {
				await counters[of].consume(key);
				return 0;
			} catch (refused) {
				if (refused instanceof Error) throw refused;
				return Math.max(1, Math.ceil((refused as RateLimiterRes).msBeforeNext / 1000));
			}
		},
		/** The try was none that is counted. */
		async giveBack(of: Limited, key: string): Promise<void> {
			await counters[of].reward(key);
		},
		async forget(of: Limited, key: string): Promise<void> {
			await counters[of].delete(key);
		}
	};
}
export type Throttle = ReturnType<typeof openThrottle>;

/** “in 4 minutes”: when something may be tried again. @param seconds until then */
export const waitWords = (seconds: number): string =>
	seconds <= 60 ? 'in a minute' : `in ${Math.ceil(seconds / 60)} minutes`;
