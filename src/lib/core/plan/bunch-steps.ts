import type { Id } from '../document/id.ts';
import type { Structure } from '../structures/kinds.ts';

/** Pieces and items of a structure, for what speaks of them by id. */
export const partsOf = (
	s: Structure
): readonly { readonly id: Id; readonly name: string; readonly count: number }[] => {
	if (s.kind === 'bunch') return s.items;
	return s.kind === 'form' ? s.pieces : [];
};
