import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import { KEEP, type RefMap } from '../../document/refs.ts';
import { refs as applied } from '../applied/refs.ts';
import { refs as bunch } from '../bunch/refs.ts';
import { refs as design } from '../design/refs.ts';
import type { DesignUse } from '../design/document.ts';
import { refs as extras } from '../extras/refs.ts';
import type { HostPart, Movable, Part, RefsFacet } from '../facets/refs.ts';
import { refs as form } from '../form/refs.ts';
import type { Kind, Of, Structure, StructureOf } from '../kinds.ts';
import { refs as run } from '../run/refs.ts';
import { refs as stack } from '../stack/refs.ts';
import { refs as weave } from '../weave/refs.ts';

const REFS: { readonly [K in Kind]: RefsFacet<StructureOf[K]> } = {
	stack,
	applied,
	extras,
	bunch,
	form,
	run,
	weave,
	design
};

/** A structure that names other slots, materials and designs in the same places: the one walk over what structures name. */
export const mapRefs = <K extends Kind>(s: Of<K>, map: RefMap): StructureOf[K] =>
	REFS[s.kind].mapRefs(s, map);

const aloneOf = <K extends Kind>(s: Of<K>): readonly StructureOf[K][] => REFS[s.kind].alone(s);

/** Everything of a structure with an id of its own. @param section name of its section */
export const partsOf = <K extends Kind>(s: Of<K>, section: string): readonly Part[] =>
	REFS[s.kind].parts(s, section);

/** Lists of a draft whose parts have an order. */
export const listsOf = (s: Mutable<Structure>): Movable[][] =>
	(REFS[s.kind] as RefsFacet<Structure>).lists(s);

/** What a host names of a structure; undefined where it has nothing of the kind. */
export const hostPartOf = <K extends Kind>(s: Of<K>, host: Host): HostPart | undefined =>
	REFS[s.kind].hostPart(s, host);

/** The design a structure is, with its colourway and size; null where it is none. */
export const nestedIn = <K extends Kind>(s: Of<K>): DesignUse | null => REFS[s.kind].nested(s);

/** One of its parts, at the beginning of a sentence: “A layer”. */
export const partWord = ({ kind }: Structure): string => REFS[kind].part;

/** Whether a kind comes only with what carries it: pieces and lines. */
export const accompanies = ({ kind }: Pick<Structure, 'kind'>): boolean => REFS[kind].accompanies;

/** Every slot a structure names, as often as it does. */
export function slotsOfStructure(structure: Structure): Id[] {
	const found: Id[] = [];
	mapRefs(structure, {
		...KEEP,
		slot(id) {
			found.push(id);
			return id;
		}
	});
	return found;
}

/** What each row, piece, item or size of a structure names: a part at a time. */
export const slotsOfParts = (s: Structure): Id[][] => aloneOf(s).map(slotsOfStructure);
