import { check as applied } from '../applied/check.ts';
import { check as bunch } from '../bunch/check.ts';
import { check as design } from '../design/check.ts';
import { check as extras } from '../extras/check.ts';
import { check as form } from '../form/check.ts';
import { check as frame } from '../frame/check.ts';
import { check as run } from '../run/check.ts';
import { check as stack } from '../stack/check.ts';
import { check as weave } from '../weave/check.ts';
import type { CheckFacet } from '../facets/check.ts';
import type { Kind, Of, StructureOf } from '../kinds.ts';
import type { CheckContext } from '../facets/check.ts';
import type { Finding } from '../../checks/finding.ts';

const CHECKS: { readonly [K in Kind]: CheckFacet<StructureOf[K]> } = {
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

/** What an experienced maker would say of a section; what it does not say it is about is about the section. */
export const check = <K extends Kind>(s: Of<K>, context: CheckContext): Finding[] =>
	CHECKS[s.kind].check(s, context).map((f) => ({ ...f, about: f.about ?? f.layer ?? context.section.id }));

/** Whether a structure has a weight in it, or hangs. */
export const isHeld = <K extends Kind>(s: Of<K>): boolean => CHECKS[s.kind].held(s);
