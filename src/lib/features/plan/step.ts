import type { StepPlace, StepWords } from '../../core/recipe/recipe.ts';

/** A step as the plan page gets it. */
export interface StepShown {
	readonly id: string;
	readonly own: boolean;
	readonly text: string;
	readonly lines: readonly {
		readonly count: number;
		readonly text: string;
		readonly hexes: readonly string[];
	}[];
	readonly place: StepPlace;
	readonly tool: string;
	readonly method: string;
	readonly wait: number;
	readonly check: string;
	readonly photo: string | null;
	readonly minutes: number;
	readonly says: StepWords;
	readonly out: boolean;
	readonly lost: boolean;
	readonly uses: readonly string[];
}

/** What a step can show and be about. */
export interface StepChoices {
	readonly photos: readonly { readonly id: string; readonly caption: string }[];
	readonly subjects: readonly { readonly id: string; readonly name: string }[];
}

export const PLACE_WORDS: Readonly<Record<StepPlace, string>> = {
	bench: 'At the bench',
	site: 'Where it stands',
	'after hanging': 'After hanging'
};
