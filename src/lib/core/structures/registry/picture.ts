import { picture as applied } from '../applied/place.ts';
import { picture as bunch } from '../bunch/place.ts';
import { picture as design } from '../design/place.ts';
import { picture as extras } from '../extras/place.ts';
import { picture as form } from '../form/place.ts';
import { picture as frame } from '../frame/place.ts';
import { picture as run } from '../run/place.ts';
import { picture as stack } from '../stack/place.ts';
import { picture as weave } from '../weave/place.ts';
import type { Id } from '../../document/id.ts';
import type { Material } from '../../materials/material.ts';
import type { Fixed, Mass, PictureFacet } from '../facets/picture.ts';
import type { Kind, Of, Structure, StructureOf } from '../kinds.ts';
import type { PlaceContext, Placed } from '../facets/picture.ts';

const PICTURES: { readonly [K in Kind]: PictureFacet<StructureOf[K]> } = {
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

/** What one copy of a structure is made of, mm in its own coordinates. */
export const place = <K extends Kind>(s: Of<K>, context: PlaceContext): Placed =>
	PICTURES[s.kind].place(s, context);

/** What it fixes to others. */
export const fixedBy = <K extends Kind>(s: Of<K>): readonly Fixed[] => PICTURES[s.kind].fixes?.(s) ?? [];

/** Where one touches the ground, mm in its own coordinates. */
/** Guy lines of a structure, m. */
export const guysIn = <K extends Kind>(s: Of<K>) => PICTURES[s.kind].guys?.(s) ?? [];

export const footprintIn = <K extends Kind>(s: Of<K>): readonly (readonly [number, number])[] =>
	PICTURES[s.kind].footprint?.(s) ?? [];

/** What weighs in one besides balloons. */
export const massesIn = <K extends Kind>(s: Of<K>, materials: ReadonlyMap<Id, Material>): readonly Mass[] =>
	PICTURES[s.kind].masses?.(s, materials) ?? [];

/** Materials of the Stockroom that those weights are of. */
export const baseMaterialsOf = <K extends Kind>(s: Of<K>): readonly Id[] =>
	PICTURES[s.kind].weighed?.(s) ?? [];

/** Whether its picture hangs on nothing but itself. */
export const standsAlone = ({ kind }: Structure): boolean => PICTURES[kind].alone;

const stands = <K extends Kind>(s: Of<K>) => PICTURES[s.kind].stands(s);

/** Pieces and limbs that sit on what their section stands by, each where it says. */
export const isOnHosts = (s: Structure): boolean => stands(s) === 'on its host';

/** Whether it can be seen at all: lines cannot. */
export const isSeen = (s: Structure): boolean => stands(s) !== 'nowhere';
