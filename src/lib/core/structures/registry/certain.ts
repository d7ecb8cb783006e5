import type { Kind, Of, StructureOf } from '../kinds.ts';
import { certainInRun } from '../run/certain.ts';

const ALL = <S>(structure: S): S => structure;
const CERTAIN: { readonly [K in Kind]: (structure: StructureOf[K]) => StructureOf[K] } = {
	run: certainInRun,
	extras: ALL,
	stack: ALL,
	applied: ALL,
	bunch: ALL,
	form: ALL,
	weave: ALL,
	frame: ALL,
	design: ALL
};

/** A structure without what is counted by so many a foot; the very same where nothing of it is. */
export const certainOf = <K extends Kind>(s: Of<K>): StructureOf[K] => CERTAIN[s.kind](s);
