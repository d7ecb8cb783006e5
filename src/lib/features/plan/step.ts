import type { StepPlace } from '../../core/document/step.ts';

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
