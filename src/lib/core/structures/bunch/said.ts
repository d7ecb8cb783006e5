import type { BunchItem, BunchThing, BunchWeight } from './document.ts';
import type { ColourRef, OwnSaid } from '../../language/said.ts';

/** An item of a bunch as said. */
export interface SaidItem extends Pick<
	BunchItem,
	'name' | 'count' | 'range' | 'gas' | 'ribbon' | 'swappable'
> {
	readonly what:
		| OwnSaid
		| Extract<BunchThing, { kind: 'material' }>
		| (Omit<Extract<BunchThing, { kind: 'letters' }>, 'slot'> & { readonly colour: ColourRef });
}

export type SaidWeight = OwnSaid | Extract<BunchWeight, { kind: 'material' }>;

export type BunchSaid =
	| { readonly kind: 'item'; readonly item: SaidItem }
	/** What holds a bunch down; null is nothing. */
	| { readonly kind: 'weight'; readonly weight: SaidWeight | null };
