import { openInExtras, settledExtras } from '../extras/settle.ts';
import type { OpenPart, SettledParts } from '../facets/settle.ts';
import type { Kind, Of, StructureOf } from '../kinds.ts';
import { openInRun, settledRun } from '../run/settle.ts';

interface Settling<S> {
	readonly open: (structure: S) => OpenPart[];
	readonly settle: (structure: S, parts: SettledParts) => S;
}
/** Kinds without an estimate have nothing to settle. */
const NOTHING = { open: () => [], settle: <S>(s: S): S => s };
const SETTLING: { readonly [K in Kind]: Settling<StructureOf[K]> } = {
	run: { open: openInRun, settle: settledRun },
	extras: { open: openInExtras, settle: settledExtras },
	stack: NOTHING,
	applied: NOTHING,
	bunch: NOTHING,
	form: NOTHING,
	weave: NOTHING,
	frame: NOTHING,
	design: NOTHING
};

/** What of a structure waits for the job. */
export const openParts = <K extends Kind>(s: Of<K>): OpenPart[] => SETTLING[s.kind].open(s);
/** The same once it is settled; what is not there any more is passed over. */
export const withParts = <K extends Kind>(s: Of<K>, parts: SettledParts): StructureOf[K] =>
	SETTLING[s.kind].settle(s, parts);
