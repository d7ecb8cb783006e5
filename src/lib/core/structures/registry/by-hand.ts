import { byHand as applied } from '../applied/by-hand.ts';
import { byHand as bunch } from '../bunch/by-hand.ts';
import { byHand as extras } from '../extras/by-hand.ts';
import type { HandFacet, HandForm } from '../facets/by-hand.ts';
import { byHand as form } from '../form/by-hand.ts';
import { byHand as frame } from '../frame/by-hand.ts';
import type { Kind, Structure, StructureOf } from '../kinds.ts';
import { byHand as run } from '../run/by-hand.ts';
import { byHand as weave } from '../weave/by-hand.ts';

/** Rows of a stack have screens of their own; a design inside is chosen whole. */
const NONE = { forms: [] };
const HANDS: { readonly [K in Kind]: HandFacet<StructureOf[K]> } = {
	stack: NONE,
	applied,
	design: NONE,
	extras,
	bunch,
	form,
	run,
	weave,
	frame
};

/** What can be put to a structure of a kind by its fields. */
export const handFormsOf = ({ kind }: Pick<Structure, 'kind'>): readonly HandForm<Structure>[] =>
	HANDS[kind].forms as unknown as readonly HandForm<Structure>[];
