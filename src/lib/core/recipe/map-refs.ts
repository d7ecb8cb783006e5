import type { Inside } from '../document/inside.ts';
import type { Pattern } from '../document/pattern.ts';
import type { BunchThing } from '../structures/bunch/document.ts';
import type { Cluster, Place } from '../document/cluster.ts';
import type { Id } from '../document/id.ts';
import type { PieceThing } from '../structures/applied/document.ts';
import type { Recipe, Section } from './recipe.ts';
import type { Run } from '../structures/run/document.ts';
import type { Structure } from '../structures/kinds.ts';

/** Another name for each that a recipe names. */
export interface RefMap {
	slot(id: Id): Id;
	material(id: Id): Id;
	design(id: Id): Id;
	colour(id: Id): Id;
}

const same = (id: Id): Id => id;
/** Every name stays as it is. */
export const KEEP: RefMap = { slot: same, material: same, design: same, colour: same };

const maybe = <T extends Id | null>(id: T, by: (id: Id) => Id): T => (id === null ? id : (by(id) as T));

function mapPattern(pattern: Pattern, { slot }: RefMap): Pattern {
	if (pattern.kind === 'same') return { ...pattern, slot: slot(pattern.slot) };
	if (pattern.kind === 'blocks')
		return { ...pattern, blocks: pattern.blocks.map((b) => ({ ...b, slot: slot(b.slot) })) };
	return { ...pattern, slots: pattern.slots.map(slot) };
}

const mapInside = (inside: Inside, { slot }: RefMap): Inside =>
	inside.kind === 'balloon' ? { ...inside, slot: slot(inside.slot) } : inside;

const mapPlace = <P extends Place>(place: P, map: RefMap): P => ({
	...place,
	slot: maybe(place.slot, map.slot),
	material: maybe(place.material, map.material),
	...(place.inside && { inside: mapInside(place.inside, map) })
});

const mapCluster = (cluster: Cluster, map: RefMap): Cluster => ({
	...cluster,
	pattern: mapPattern(cluster.pattern, map),
	places: cluster.places.map((place) => mapPlace(place, map))
});

function mapThing<T extends BunchThing | PieceThing>(what: T, map: RefMap): T {
	switch (what.kind) {
		case 'balloon':
			return { ...what, balloon: mapPlace(what.balloon, map) };
		case 'material':
			return { ...what, material: maybe(what.material, map.material) };
		case 'letters':
			return { ...what, slot: map.slot(what.slot) };
	}
	return what;
}

const mapHung = (hung: Run['hung'], map: RefMap): Run['hung'] =>
	hung && { ...hung, material: maybe(hung.material, map.material) };

/**
 * A structure that names other slots, materials and designs in the same places: the one walk over what structures refer to.
 * What it never asks for, no structure names.
 */
export function mapRefs(s: Structure, map: RefMap): Structure {
	const { slot, material } = map;
	switch (s.kind) {
		case 'stack':
			return {
				...s,
				upright: { ...s.upright, material: maybe(s.upright.material, material) },
				layers: s.layers.map((l) => ({ ...l, clusters: l.clusters.map((c) => mapCluster(c, map)) }))
			};
		case 'applied':
			return { ...s, pieces: s.pieces.map((p) => ({ ...p, what: mapThing(p.what, map) })) };
		case 'bunch':
			return {
				...s,
				items: s.items.map((i) => ({
					...i,
					what: mapThing(i.what, map),
					ribbon: i.ribbon && { ...i.ribbon, material: maybe(i.ribbon.material, material) }
				})),
				weight:
					s.weight === null
						? null
						: s.weight.kind === 'balloon'
							? { ...s.weight, balloon: mapPlace(s.weight.balloon, map) }
							: { ...s.weight, material: maybe(s.weight.material, material) }
			};
		case 'form':
			return { ...s, pieces: s.pieces.map((p) => ({ ...p, slot: slot(p.slot) })) };
		case 'run':
			return {
				...s,
				rows: s.rows.map((r) => ({ ...r, cluster: mapCluster(r.cluster, map) })),
				mix: s.mix.map((m) => ({ ...m, colours: m.colours.map((c) => ({ ...c, slot: slot(c.slot) })) })),
				infill: s.infill.map((i) => ({ ...i, slot: maybe(i.slot, slot) })),
				corner: s.corner && mapPlace(s.corner, map),
				spine: s.spine && { ...s.spine, material: maybe(s.spine.material, material) },
				hung: mapHung(s.hung, map)
			};
		case 'weave':
			return {
				...s,
				rows: s.rows.map((r) => ({
					...r,
					blocks: r.blocks.map((b) => ({ ...b, slot: maybe(b.slot, slot) }))
				})),
				joiner: s.joiner && mapPlace(s.joiner, map),
				handle: s.handle && { ...s.handle, slot: slot(s.handle.slot) },
				hung: mapHung(s.hung, map)
			};
		case 'extras':
			return { ...s, lines: s.lines.map((l) => ({ ...l, material: material(l.material) })) };
		case 'design':
			return { ...s, design: map.design(s.design) };
	}
}

/** A whole recipe that names others in the same places: its sections, colourways, rules and sizes. */
export function mapRecipeRefs(recipe: Recipe, map: RefMap): Recipe {
	const parts = new Set(recipe.sections.flatMap((s) => (s.structure.kind === 'design' ? [s.id] : [])));
	const section = (s: Section): Section => ({
		...s,
		structure: mapRefs(s.structure, map),
		stand: { ...s.stand, tie: maybe(s.stand.tie, map.material) }
	});
	return {
		...recipe,
		slots: recipe.slots.map((s) => ({ ...s, id: map.slot(s.id) })),
		sections: recipe.sections.map(section),
		colourways: recipe.colourways.map((w) => ({
			...w,
			fills: Object.fromEntries(
				Object.entries(w.fills).map(([slot, c]) => [map.slot(slot), maybe(c, map.colour)])
			),
			without: w.without.map(map.slot)
		})),
		rules: recipe.rules.map((r) => ({ ...r, material: maybe(r.material, map.material) })),
		sizes: recipe.sizes.map((size) => ({
			...size,
			// An element is exchanged for a design where it is one, else for a material.
			swaps: Object.fromEntries(
				Object.entries(size.swaps).map(([element, to]) => [
					element,
					parts.has(element) ? map.design(to) : map.material(to)
				])
			)
		}))
	};
}

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
export function slotsOfParts(s: Structure): Id[][] {
	const each = <P>(parts: readonly P[], alone: (part: P) => Structure) =>
		parts.map((part) => slotsOfStructure(alone(part)));
	switch (s.kind) {
		case 'stack':
			return each(s.layers, (layer) => ({ ...s, layers: [layer] }));
		case 'applied':
			return each(s.pieces, (piece) => ({ ...s, pieces: [piece] }));
		case 'form':
			return each(s.pieces, (piece) => ({ ...s, pieces: [piece] }));
		case 'bunch':
			return [
				...each(s.items, (item) => ({ ...s, items: [item], weight: null })),
				slotsOfStructure({ ...s, items: [] })
			];
		case 'run': {
			const bare = { ...s, rows: [], mix: [], infill: [], corner: null };
			return [
				...each(s.rows, (row) => ({ ...bare, rows: [row] })),
				...each(s.mix, (part) => ({ ...bare, mix: [part] })),
				...each(s.infill, (part) => ({ ...bare, infill: [part] })),
				slotsOfStructure({ ...bare, corner: s.corner })
			];
		}
		case 'weave':
			return [
				...each(s.rows, (row) => ({ ...s, rows: [row], joiner: null, handle: null })),
				slotsOfStructure({ ...s, rows: [] })
			];
		case 'extras':
		case 'design':
			return [];
	}
}
