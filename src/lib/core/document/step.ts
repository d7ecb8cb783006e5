import type { Id } from './id.ts';

/** Most steps of one plan that are written down. */
export const MOST_STEPS = 6000;
/** Letters of a tool and of a check. */
export const MOST_IN_TOOL = 80;
export const MOST_IN_CHECK = 300;

/** Where a step of the plan is done. */
export const STEP_PLACES = ['bench', 'site', 'after hanging'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

/**
 * A step of the plan that the owner changed, moved or added. What nobody touched is made from the structures whenever
 * the plan is read, and stands nowhere.
 */
export interface Step {
	/** Of a made step its key, which names what it is about; of one of her own any id. */
	readonly id: string;
	readonly own: boolean;
	/** What is said in place of what is made; of an own step all there is. */
	readonly says: StepWords;
	/** Rows, pieces, lines and sections an own step is about. */
	readonly uses: readonly Id[];
	/** Left out of the plan. */
	readonly out: boolean;
}

export interface StepWords {
	readonly text?: string | undefined;
	readonly place?: StepPlace | undefined;
	readonly tool?: string | undefined;
	readonly method?: string | undefined;
	/** Seconds to wait before the next step: elapsed, not labour. */
	readonly wait?: number | undefined;
	/** Seconds of work it takes, of an own step: what is made knows its own. */
	readonly takes?: number | undefined;
	/** What has to be so before it goes on. */
	readonly check?: string | undefined;
	/** A photo of the design. */
	readonly photo?: Id | undefined;
}
