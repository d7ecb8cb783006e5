import type { Ground } from '../../document/ground.ts';
import { variant as applied } from '../applied/variant.ts';
import { variant as bunch } from '../bunch/variant.ts';
import { variant as design } from '../design/variant.ts';
import { variant as extras } from '../extras/variant.ts';
import { variant as form } from '../form/variant.ts';
import { variant as frame } from '../frame/variant.ts';
import { variant as run } from '../run/variant.ts';
import { variant as stack } from '../stack/variant.ts';
import { variant as weave } from '../weave/variant.ts';
import type { VariantFacet } from '../facets/variant.ts';
import type { Kind, Of, StructureOf } from '../kinds.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Measure } from '../../document/measure.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { HostShape } from '../kit/seats.ts';
import type { Scale, SwapContext, Swappable, Way } from '../facets/variant.ts';

const VARIANTS: { readonly [K in Kind]: VariantFacet<StructureOf[K]> } = {
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

/** Every balloon of a structure larger or smaller. */
export const scaled = <K extends Kind>(s: Of<K>, scale: Scale): StructureOf[K] =>
	VARIANTS[s.kind].scaled(s, scale);

/** A structure longer or shorter along its path. */
export const lengthened = <K extends Kind>(s: Of<K>, scale: Scale): StructureOf[K] =>
	VARIANTS[s.kind].lengthened(s, scale);

/** A structure without what these slots colour. */
export const omitSlots = <K extends Kind>(s: Of<K>, out: ReadonlySet<Id>): StructureOf[K] =>
	VARIANTS[s.kind].without(s, out);

/** A structure without what sat on a host that is gone. */
export const unhosted = <K extends Kind>(s: Of<K>, isThere: (host: Host) => boolean): StructureOf[K] =>
	VARIANTS[s.kind].unhosted(s, isThere);

/** Whether a design is as large as this structure, and how it is made larger. */
export const leads = <K extends Kind>(s: Of<K>) => VARIANTS[s.kind].leads(s);

/** How large a structure that leads is, mm. */
export const sizeOf = <K extends Kind>(s: Of<K>, pumps: readonly PumpProfile[], of: Measure) =>
	VARIANTS[s.kind].size(s, pumps, of);

/** A structure with as many rows as come nearest to a size, mm. */
export const rowsToHeight = <K extends Kind>(
	s: Of<K>,
	height: number,
	pumps: readonly PumpProfile[],
	of: Measure
): StructureOf[K] => VARIANTS[s.kind].toHeight(s, height, pumps, of);

/** Elements of a structure that may be exchanged. */
export const swappablesIn = <K extends Kind>(s: Of<K>, context: SwapContext): Swappable[] =>
	VARIANTS[s.kind].swappables(s, context);

/** A structure with another in the place of an element. */
export const exchanged = <K extends Kind>(s: Of<K>, element: Id, to: Id, section: Id): StructureOf[K] =>
	VARIANTS[s.kind].exchange(s, element, to, section);

/** The way a structure lends to what goes along it; null where it goes nowhere. */
export const wayOf = <K extends Kind>(s: Of<K>): Way | null => VARIANTS[s.kind].way(s);

/** The section whose way a structure goes; null where it goes its own. */
export const goesAlong = <K extends Kind>(s: Of<K>): Id | null => VARIANTS[s.kind].goesAlong(s);

/** A structure going that way. */
export const along = <K extends Kind>(s: Of<K>, way: Way): StructureOf[K] => VARIANTS[s.kind].along(s, way);

/** A structure with what strokes come to. */
export const pumped = <K extends Kind>(s: Of<K>, stroke: ReadonlyMap<string, number>): StructureOf[K] =>
	VARIANTS[s.kind].pumped(s, stroke);

/** Grounds on which a structure stands otherwise than usual. */
export const groundsOf = <K extends Kind>(s: Of<K>): readonly Ground[] => VARIANTS[s.kind].grounds?.(s) ?? [];

/** A structure as it stands on a ground. */
export const onGround = <K extends Kind>(s: Of<K>, ground: Ground): StructureOf[K] =>
	VARIANTS[s.kind].onGround?.(s, ground) ?? (s as StructureOf[K]);

/** Whether anything of a structure is as long as what carries it makes it. */
export const fits = <K extends Kind>(s: Of<K>): boolean => VARIANTS[s.kind].fits?.(s) ?? false;

/** A structure with the lengths that what carries it makes. */
export const fitted = <K extends Kind>(s: Of<K>, host: HostShape): StructureOf[K] =>
	VARIANTS[s.kind].fitted?.(s, host) ?? (s as StructureOf[K]);
