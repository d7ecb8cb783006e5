import type { Id } from '../../document/id.ts';
import type { RationalText } from '../../units/rational.ts';

/** A count that is an estimate until the job, or a choice that waits for it. */
export interface OpenPart {
	/** Of the line it is said in. */
	readonly id: Id;
	readonly what: 'infill' | 'line';
	/** What it is of: a balloon in words, or the id of a material. */
	readonly label: string;
	readonly low: RationalText;
	readonly high: RationalText;
	/** Whether its colour waits for the job too. */
	readonly isColourOpen: boolean;
}

/** What was settled of such a part: how many, and the slot it is coloured by. */
export interface SettledPart {
	readonly count?: RationalText | undefined;
	readonly slot?: Id | undefined;
}
export type SettledParts = Readonly<Record<Id, SettledPart>>;
