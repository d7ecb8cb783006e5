import type { CheckFacet } from '../facets/check.ts';
import type { DesignUse } from './document.ts';

/** A design inside is looked over on its own Bench. */
export const check: CheckFacet<DesignUse> = { held: () => false, check: () => [] };
