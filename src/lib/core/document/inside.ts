import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { Id } from './id.ts';

/** What makes a balloon a weight. */
export const FILLINGS = ['sand', 'water', 'marbles'] as const;
export type Filling = (typeof FILLINGS)[number];

/** A balloon in the balloon, or what weighs it down. */
export type Inside =
	| { readonly kind: 'balloon'; readonly nominal: Micrometres; readonly size: Size; readonly slot: Id }
	| { readonly kind: 'filling'; readonly of: Filling };
