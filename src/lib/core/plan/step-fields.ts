import type { Fields } from '../forms/merge-fields.ts';
import { formatWait } from '../units/duration.ts';
import type { PlanStep } from './arrange.ts';

type Said = Pick<
	PlanStep,
	'text' | 'place' | 'tool' | 'method' | 'wait' | 'takes' | 'check' | 'photo' | 'uses'
>;

/** A step as its form is filled with it; without one, as the form of a new step. */
export const stepFields = (step: Said | undefined): Fields => ({
	text: step?.text ?? '',
	place: step?.place ?? 'bench',
	tool: step?.tool ?? '',
	method: step?.method ?? '',
	wait: formatWait(step?.wait ?? 0),
	takes: formatWait(step?.takes ?? 0),
	check: step?.check ?? '',
	photo: step?.photo ?? '',
	about: step?.uses[0] ?? ''
});
