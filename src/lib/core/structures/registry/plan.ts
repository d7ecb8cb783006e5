import { plan as applied } from '../applied/plan.ts';
import { plan as bunch } from '../bunch/plan.ts';
import { plan as design } from '../design/plan.ts';
import { plan as extras } from '../extras/plan.ts';
import { plan as form } from '../form/plan.ts';
import { plan as frame } from '../frame/plan.ts';
import { plan as run } from '../run/plan.ts';
import { plan as stack } from '../stack/plan.ts';
import { plan as weave } from '../weave/plan.ts';
import type { PlanFacet } from '../facets/plan.ts';
import type { MadeStep } from '../../plan/made-step.ts';
import type { Kind, Of, Structure, StructureOf } from '../kinds.ts';
import type { StepKit } from '../kit/step-kit.ts';

const PLANS: { readonly [K in Kind]: PlanFacet<StructureOf[K]> } = {
	stack,
	applied,
	extras,
	bunch,
	form,
	run,
	weave,
	frame,
	design
};

/** The steps that build a structure, in their order. */
export const stepsOf = <K extends Kind>(s: Of<K>, kit: StepKit): MadeStep[] => PLANS[s.kind].steps(s, kit);

/** Whether it is added once everything stands together. */
export const isLast = ({ kind }: Structure): boolean => PLANS[kind].last;
