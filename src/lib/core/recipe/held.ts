import type { Host } from '../document/host.ts';
import type { Id, NewId } from '../document/id.ts';
import type { Mutable } from '../document/mutable.ts';
import { KEEP } from '../document/refs.ts';
import { got, refuse, type Parsed } from '../errors.ts';
import type { Movable } from '../structures/facets/refs.ts';
import { moved } from '../structures/kit/anew.ts';
import { resizeAll } from '../structures/kit/resize.ts';
import type { Structure } from '../structures/kinds.ts';
import { carriesPieces, hostPartOf, listsOf, mapRefs } from '../structures/registry/refs.ts';
import { isOnHosts } from '../structures/registry/picture.ts';
import { clusterOf, resized, seat } from '../structures/registry/touch.ts';
import { sectionFor } from '../structures/applied/edit.ts';
import { setCount } from '../structures/stack/row-fields.ts';
import { changePlaces } from './edit-places.ts';
import { countPart, removePart } from './edit-parts.ts';
import { colourRef, dropUnusedSlots, slotFor, type RecipeDraft } from './draft.ts';
import { removeSection, settle } from './edit.ts';
import type { Recipe } from './recipe.ts';

/** What was pressed in the picture. */
export interface Held {
	/** A row, a piece, an item, a size of a mix, or a section as a whole. */
	readonly about: Id;
	/** The very balloon, where it is a place of a row. */
	readonly place: Id | null;
	/** What colours it; null where it is sold in its colour, or nothing chosen colours it. */
	readonly slot: Id | null;
}

/** How far a colour goes that is dropped or picked: that balloon, its row or piece, all that is of its colour. */
export type Reach = 'balloon' | 'part' | 'all';

type SectionDraft = RecipeDraft['sections'][number];
interface Found {
	readonly section: SectionDraft;
	/** Its list and its place in it; null is the section as a whole. */
	readonly at: { readonly list: Movable[]; readonly index: number; readonly part: Movable } | null;
}

/** The section of what was pressed, and the part of it; undefined where it is gone. */
function found(recipe: RecipeDraft, about: Id): Found | undefined {
	for (const section of recipe.sections) {
		if (section.id === about) return { section, at: null };
		for (const list of listsOf(section.structure)) {
			const index = list.findIndex((p) => p.id === about);
			if (index >= 0) return { section, at: { list, index, part: list[index]! } };
		}
	}
	return undefined;
}

/** How many of it, where that can be changed: in its cluster, of pieces alike, of copies of a section. */
export function countOfHeld(recipe: Recipe, { about }: Pick<Held, 'about'>): number | undefined {
	const own = found(recipe as RecipeDraft, about);
	if (!own) return undefined;
	if (!own.at) return own.section.times;
	return clusterOf(own.section.structure, own.at.part)?.places.length ?? own.at.part.count;
}

/** How many alike one after the other; undefined where it is said otherwise. */
export const repeatOfHeld = (recipe: Recipe, { about }: Pick<Held, 'about'>): number | undefined =>
	found(recipe as RecipeDraft, about)?.at?.part.repeat;

export const isThere = (recipe: Recipe, { about }: Pick<Held, 'about'>): boolean =>
	found(recipe as RecipeDraft, about) !== undefined;

/** Whether it is a part that can be copied and moved; else it is a section as a whole. */
export const isPart = (recipe: Recipe, { about }: Pick<Held, 'about'>): boolean =>
	!!found(recipe as RecipeDraft, about)?.at;

/** What was pressed half an inch larger or smaller. */
export function resizeHeld(
	recipe: RecipeDraft,
	{ about }: Pick<Held, 'about'>,
	halves: number
): Parsed<null> {
	const own = found(recipe, about);
	return own ? resized(own.section.structure, own.at?.part ?? null, halves) : got(null);
}

/** One balloon of a row alone, half an inch larger or smaller. */
export function resizePlace(recipe: RecipeDraft, { about, place }: Held, halves: number): Parsed<null> {
	const own = found(recipe, about);
	const cluster = own?.at && clusterOf(own.section.structure, own.at.part);
	const one = cluster?.places.find((p) => p.id === place);
	return one ? resizeAll([one], halves) : got(null);
}

/** One more or one fewer: in a cluster, of pieces alike, of copies. @returns false past the limits */
export function countHeld(
	recipe: RecipeDraft,
	{ about }: Pick<Held, 'about'>,
	by: number,
	newId: NewId
): boolean {
	const own = found(recipe, about);
	if (!own) return false;
	if (!own.at) {
		const times = own.section.times + by;
		if (times < 1 || times > 24) return false;
		own.section.times = times;
		return true;
	}
	const cluster = clusterOf(own.section.structure, own.at.part);
	if (cluster) return setCount(cluster, cluster.places.length + by, newId);
	countPart(recipe, about, by);
	return true;
}

/** Turns a ring so that this balloon looks to the audience; the others of its row look where they come. */
export function turnToFront(recipe: RecipeDraft, { about, place }: Held): void {
	const own = found(recipe, about);
	const cluster = own?.at && clusterOf(own.section.structure, own.at.part);
	if (!cluster?.places.some((p) => p.id === place)) return;
	for (const one of cluster.places) one.side = one.id === place ? 'front' : null;
}

export function removeHeld(recipe: RecipeDraft, { about }: Pick<Held, 'about'>): void {
	const own = found(recipe, about);
	if (own?.at) removePart(recipe, about);
	else if (own) removeSection(recipe, about);
}

/**
 * Another colour for what was pressed. All that is of its colour is filled anew in one colourway; a balloon or a part
 * takes the slot that holds the colour already, else one of its own.
 */
export function recolour(
	recipe: RecipeDraft,
	held: Held,
	reach: Reach,
	to: { readonly colour: Id; readonly name: string; readonly colourway: Id },
	newId: NewId
): void {
	const { about, place, slot } = held;
	const fills = recipe.colourways.find((c) => c.id === to.colourway)?.fills;
	const own = found(recipe, about);
	if (!fills || !own || (slot === null && reach !== 'balloon')) return;
	if (reach === 'all') {
		fills[slot!] = to.colour;
		return;
	}
	const takes = slotFor(recipe, newId)(colourRef(recipe.slots, fills, to));
	if (reach === 'balloon' && place !== null)
		return changePlaces(recipe, about, new Set([place]), { slot: takes, material: null });
	const { section, at } = own;
	const from = (id: Id) => (id === slot ? takes : id);
	if (!at)
		section.structure = mapRefs(section.structure as Structure, {
			...KEEP,
			slot: from
		}) as Mutable<Structure>;
	else Object.assign(at.part, mappedPart(section.structure, at.part, from));
	dropUnusedSlots(recipe);
}

/** A part with other slots, by the one walk over what a structure names. */
function mappedPart(structure: Mutable<Structure>, part: Movable, slot: (id: Id) => Id): Movable | undefined {
	const mapped = mapRefs(structure as Structure, { ...KEEP, slot });
	return listsOf(mapped as Mutable<Structure>)
		.flat()
		.find((p) => p.id === part.id);
}

/** Where something is let go: on a balloon of a row, else on a part or a section. */
export type Onto = Pick<Held, 'about' | 'place'>;

/**
 * Puts a part where it was let go: in the place of another of its list; a piece or a limb on a row's balloon, on
 * another piece, on an item of a bunch. @returns a sentence where it cannot be there
 */
export function dropHeld(
	recipe: RecipeDraft,
	{ about }: Pick<Held, 'about'>,
	onto: Onto,
	newId: NewId
): Parsed<null> {
	const own = found(recipe, about);
	const target = found(recipe, onto.about);
	if (!own?.at || !target || onto.about === about) return got(null);
	const { list, index, part } = own.at;
	if (target.at?.list === list) {
		list.splice(target.at.index, 0, ...list.splice(index, 1));
		return got(null);
	}
	const host = isOnHosts(own.section.structure as Structure) ? hostAt(target, onto) : undefined;
	if (!host)
		return refuse('refused', 'That cannot sit there. Let it go on a row, or on another of its own list.');
	const carrier = own.section.id === target.section.id ? own.section.stand.by : target.section.id;
	const kind = own.section.structure.kind;
	if (own.section.stand.by !== carrier && own.section.id !== target.section.id)
		return reseated(recipe, { from: own.section, part, carrier, host, kind }, newId);
	seat(own.section.structure, part, host);
	return got(null);
}

/** What a piece would sit on where something is pressed; undefined where nothing can. @param reach the very balloon, or its row */
export function hostOfHeld(
	recipe: Recipe,
	{ about, place }: Onto,
	reach: Reach
): { readonly host: Host; readonly section: Id } | undefined {
	const own = found(recipe as RecipeDraft, about);
	const host = own && hostAt(own, { about, place: reach === 'balloon' ? place : null });
	if (!own || !host) return undefined;
	// Pieces are carried by what their own section stands by.
	const { id, stand, structure } = own.section;
	const carrier = isOnHosts(structure as Structure) ? stand.by : id;
	return carrier === null ? undefined : { host, section: carrier };
}

/** What of a section a piece sits on where it was let go. */
function hostAt({ section, at }: Found, { about, place }: Onto): Host | undefined {
	const structure = section.structure as Structure;
	const candidates: Host[] = [
		...(place === null ? [] : [{ on: 'place', place } as const]),
		{ on: 'piece', piece: about },
		{ on: 'place', place: about },
		{ on: 'layer', layer: about, side: 'front' }
	];
	if (!at || (!carriesPieces(structure) && !isOnHosts(structure))) return undefined;
	return candidates.find((host) => hostPartOf(structure, host) !== undefined);
}

interface Reseated {
	readonly from: SectionDraft;
	readonly part: Movable;
	readonly carrier: Id | null;
	readonly host: Host;
	readonly kind: Structure['kind'];
}

/** A piece goes over to the pieces of another section; where there are none yet, they are made. */
function reseated(
	recipe: RecipeDraft,
	{ from, part, carrier, host, kind }: Reseated,
	newId: NewId
): Parsed<null> {
	const own = moved(part);
	if (!seat(from.structure, own, host)) return got(null);
	const home = sectionFor(recipe.sections as Recipe['sections'], carrier);
	const section = settle(recipe, home, newId);
	if (!section || section.structure.kind !== kind)
		return refuse('refused', 'That cannot sit there. Let it go on what its section stands by.');
	// What sits on it goes with it.
	const sits = onIt(listsOf(from.structure).flat(), part.id).map(moved);
	for (const { id } of [own, ...sits]) removePart(recipe, id);
	listsOf(section.structure)[0]!.push(own, ...sits);
	// So do sections that sit on it: they stand by what carries it now.
	const gone = new Set([own, ...sits].map(({ id }) => id));
	for (const { stand } of recipe.sections)
		if (carrier !== null && stand.at?.on === 'piece' && gone.has(stand.at.piece)) stand.by = carrier;
	return got(null);
}

/** Pieces on a piece, and those on them. */
function onIt(pieces: readonly Movable[], id: Id): Movable[] {
	const own = pieces.filter((p) => p.id !== id && JSON.stringify(p).includes(`"piece":"${id}"`));
	return own.flatMap((p) => [p, ...onIt(pieces, p.id)]);
}
