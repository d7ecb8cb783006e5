import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import { KEEP, type RefMap } from '../../document/refs.ts';
import { refs as applied } from '../applied/refs.ts';
import { refs as bunch } from '../bunch/refs.ts';
import { refs as design } from '../design/refs.ts';
import type { DesignUse } from '../design/document.ts';
import { refs as extras } from '../extras/refs.ts';
import type { HostPart, Hosts, Movable, Part, RefsFacet } from '../facets/refs.ts';
import { refs as form } from '../form/refs.ts';
import { refs as frame } from '../frame/refs.ts';
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
	frame,
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

/** What of a structure pieces may sit on. */
export const hostsOf = <K extends Kind>(s: Of<K>): Hosts => REFS[s.kind].hosts(s);

/** What the pieces of a structure sit on. */
export const sitsOn = <K extends Kind>(s: Of<K>): readonly Host[] => REFS[s.kind].sitsOn?.(s) ?? [];

/** What the limbs of a structure go over to. */
export const reaches = <K extends Kind>(s: Of<K>): readonly Host[] => REFS[s.kind].reaches?.(s) ?? [];

/** What a host names of a structure; undefined where it has nothing of the kind. */
export function hostPartOf(s: Structure, host: Host): HostPart | undefined {
	const { named, ...own } = hostsOf(s);
	const rows = own.rows ?? [];
	if (host.on === 'layer') {
		const row = rows.findIndex((r) => r.id === host.layer) + 1;
		return row > 0 ? { kind: 'row', row } : undefined;
	}
	if (host.on !== 'place' && host.on !== 'piece') return undefined;
	const part = named.find((n) => isSame(n.host, host));
	if (part) return { kind: 'part', name: part.name };
	if (host.on === 'piece') return undefined;
	for (const [at, row] of rows.entries()) {
		const place = row.places().indexOf(host.place) + 1;
		if (place > 0) return { kind: 'place', row: at + 1, place };
	}
	return undefined;
}

/** Whether two hosts are the same place or the same piece. */
const isSame = (a: Host, b: Host): boolean =>
	(a.on === 'place' && b.on === 'place' && a.place === b.place) ||
	(a.on === 'piece' && b.on === 'piece' && a.piece === b.piece);

/** Whether pieces may sit on it. */
export function carriesPieces(s: Structure): boolean {
	const { rows, named, along, spots = [] } = hostsOf(s);
	return !accompanies(s) && (rows !== null || named.length > 0 || along || spots.length > 0);
}

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
