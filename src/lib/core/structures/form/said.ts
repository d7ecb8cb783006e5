import type { Id } from '../../document/id.ts';
import type { FormPiece } from './document.ts';
import type { ColourRef } from '../../language/said.ts';

/** A piece of a form as said, its slot not made yet. */
export interface SaidFormPiece extends Omit<FormPiece, 'id' | 'slot' | 'more'> {
	readonly colour: ColourRef;
	readonly more?: readonly ColourRef[] | undefined;
}

export interface FormSaid {
	readonly kind: 'form piece';
	readonly piece: SaidFormPiece;
	/** Section it sits on, where it says one. */
	readonly section: Id | null;
}
