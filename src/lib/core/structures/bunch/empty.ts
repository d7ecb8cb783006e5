import { flatOf, type Material } from '../../materials/material.ts';
import type { Bunch, BunchThing } from './document.ts';

export const emptyBunch = (): Bunch => ({ kind: 'bunch', arrangement: 'bunch', items: [], weight: null });

/** A foil or a card of the Stockroom as it comes: creased where it is inflated. */
export const newThing = ({
	id,
	kind,
	nominal,
	chambers
}: Material): Extract<BunchThing, { kind: 'material' }> => ({
	kind: 'material',
	material: id,
	flat: flatOf({ kind, nominal }),
	look: 'creased',
	chambers
});
