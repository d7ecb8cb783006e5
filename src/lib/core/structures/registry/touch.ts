import type { Cluster } from '../../document/cluster.ts';
import type { Host } from '../../document/host.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Parsed } from '../../errors.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { touch as applied } from '../applied/touch.ts';
import type { Movable } from '../facets/refs.ts';
import type { DraggedBy, Grip, TouchFacet } from '../facets/touch.ts';
import { touch as form } from '../form/touch.ts';
import { touch as frame } from '../frame/touch.ts';
import type { Kind, Structure, StructureOf } from '../kinds.ts';
import { SIZED_ELSEWHERE, UNTOUCHED } from '../kit/touch.ts';
import type { PlacedStack } from '../stack/placed.ts';
import { touch as run } from '../run/touch.ts';
import { touch as stack } from '../stack/touch.ts';
import { touch as weave } from '../weave/touch.ts';

const TOUCHED: { readonly [K in Kind]: TouchFacet<StructureOf[K]> } = {
	stack,
	run,
	form,
	applied,
	bunch: UNTOUCHED,
	weave,
	frame,
	extras: SIZED_ELSEWHERE,
	design: SIZED_ELSEWHERE
};
const of = ({ kind }: Pick<Structure, 'kind'>) => TOUCHED[kind] as unknown as TouchFacet<Structure>;

/** A part of a draft, or all of it, half an inch larger or smaller. */
export const resized = (s: Mutable<Structure>, part: Movable | null, halves: number): Parsed<null> =>
	of(s).resized(s as never, part, halves);

/** The cluster a part of a draft is; undefined where it is none. */
export const clusterOf = (s: Mutable<Structure>, part: Movable): Mutable<Cluster> | undefined =>
	of(s).clusterOf(part);

/** Points of a structure that can be dragged, mm in its own coordinates. @param placed where its layers are */
export const gripsOf = (s: Structure, placed: PlacedStack | undefined): readonly Grip[] =>
	of(s).grips(s, placed);

/** A structure with a grip dragged so far from where it was. */
export const draggedBy = (
	s: Structure,
	grip: string,
	by: DraggedBy,
	pumps: readonly PumpProfile[]
): Structure => of(s).dragged(s, grip, by, pumps);

/** Puts a part of a draft on another host. @returns false where its parts sit on nothing */
export const seat = (s: Mutable<Structure>, part: Movable, host: Host): boolean => of(s).seat(part, host);
