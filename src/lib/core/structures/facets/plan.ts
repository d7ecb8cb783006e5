import type { MadeStep } from '../../plan/made-step.ts';
import type { StepKit } from '../kit/step-kit.ts';

/** How a kind is built. */
export interface PlanFacet<S> {
	/** In their order, for all copies. */
	steps(structure: S, kit: StepKit): MadeStep[];
	/** Added to the piece once its sections stand by each other: lines. */
	readonly last: boolean;
}
