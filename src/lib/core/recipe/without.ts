import { slotAt, slotsOf, type Pattern } from '../document/pattern.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import type { Bunch, BunchItem } from '../structures/bunch/document.ts';
import type { Cluster, Place } from '../document/cluster.ts';
import type { Host } from '../document/host.ts';
import type { Id } from '../document/id.ts';
import type { Layer } from '../structures/stack/document.ts';
import type { Recipe, Section } from './recipe.ts';
import type { Run } from '../structures/run/document.ts';
import type { Weave } from '../structures/weave/document.ts';

/**
 * A design with slots left out. What they colour goes: rows of one colour, rings and blocks of a row, places of a
 * list, applied pieces; and pieces whose host is gone. What follows closes up: the stack comes down, the ring draws
 * together. Of a spiral or a checker the other strands take the places over, for a hole would let the ring collapse.
 */
export function withoutSlots(recipe: Recipe, out: ReadonlySet<Id>): Recipe {
	if (out.size === 0) return recipe;
	const sections = recipe.sections.map((section): Section => {
		const { structure } = section;
		if (structure.kind === 'bunch') return { ...section, structure: bunchWithout(structure, out) };
		if (structure.kind === 'run') return { ...section, structure: runWithout(structure, out) };
		if (structure.kind === 'weave') return { ...section, structure: weaveWithout(structure, out) };
		if (structure.kind !== 'stack') return section;
		const layers = structure.layers.flatMap((layer) => layerWithout(layer, out)).map((l) => emptied(l, out));
		return { ...section, structure: { ...structure, layers } };
	});
	const rows = new Set<Id>();
	const places = new Set<Id>(itemsOf(sections));
	for (const { structure } of sections) {
		if (structure.kind !== 'stack') continue;
		for (const layer of structure.layers) {
			rows.add(layer.id);
			for (const place of layer.clusters.flatMap((c) => c.places)) places.add(place.id);
		}
	}
	const had = new Set(recipe.sections.flatMap(rowsOf));
	return {
		...recipe,
		sections: sections.map((section) => {
			const { structure, stand } = section;
			const gone = stand.layer !== null && had.has(stand.layer) && !rows.has(stand.layer);
			const standing = gone ? { ...section, stand: { ...stand, layer: null } } : section;
			const isThere = (host: Host) =>
				host.on === 'layer'
					? rows.has(host.layer) || !had.has(host.layer)
					: host.on !== 'place' || places.has(host.place);
			if (structure.kind === 'form') {
				const left = structure.pieces.filter((p) => !out.has(p.slot) && (p.at === null || isThere(p.at)));
				return { ...standing, structure: { ...structure, pieces: left } };
			}
			if (structure.kind !== 'applied') return standing;
			const pieces = piecesWithout(structure.pieces, out, isThere);
			return { ...standing, structure: { ...structure, pieces } };
		})
	};
}

/** Items of bunches carry what hangs on them. */
const itemsOf = (sections: readonly Section[]): Id[] =>
	sections.flatMap(({ structure }) => (structure.kind === 'bunch' ? structure.items.map((i) => i.id) : []));

/** A balloon in a balloon goes with its own slot; the outer one stays. */
const hollow = <P extends Place>(place: P, out: ReadonlySet<Id>): P =>
	place.inside?.kind === 'balloon' && out.has(place.inside.slot) ? { ...place, inside: undefined } : place;

const emptied = (layer: Layer, out: ReadonlySet<Id>): Layer => ({
	...layer,
	clusters: layer.clusters.map((c) => ({ ...c, places: c.places.map((p) => hollow(p, out)) }))
});

/** Rows, sizes and infill of colours left out go; the path stays, so what is left takes their room. */
function runWithout(run: Run, out: ReadonlySet<Id>): Run {
	return {
		...run,
		rows: run.rows.flatMap((row) =>
			clusterWithout(row.cluster, out).map((cluster) => ({
				...row,
				cluster: { ...cluster, places: cluster.places.map((p) => hollow(p, out)) }
			}))
		),
		mix: run.mix.flatMap((part) => {
			const colours = part.colours.filter((c) => !out.has(c.slot));
			return colours.length > 0 ? [{ ...part, colours }] : [];
		}),
		infill: run.infill.filter((i) => i.slot === null || !out.has(i.slot)),
		corner: run.corner && (out.has(run.corner.slot) ? null : hollow(run.corner, out))
	};
}

/** Blocks of colours left out go and the row closes up; a handle and connectors go with their colour. */
function weaveWithout(weave: Weave, out: ReadonlySet<Id>): Weave {
	return {
		...weave,
		rows: weave.rows.flatMap((row) => {
			const blocks = row.blocks.filter((b) => b.slot === null || !out.has(b.slot));
			return blocks.length > 0 ? [{ ...row, blocks }] : [];
		}),
		joiner: weave.joiner && (out.has(weave.joiner.slot) ? null : hollow(weave.joiner, out)),
		handle: weave.handle && out.has(weave.handle.slot) ? null : weave.handle
	};
}

function bunchWithout(bunch: Bunch, out: ReadonlySet<Id>): Bunch {
	const items = bunch.items.flatMap((item): BunchItem[] => {
		const { what } = item;
		if (what.kind === 'letters') return out.has(what.slot) ? [] : [item];
		if (what.kind !== 'balloon') return [item];
		if (out.has(what.balloon.slot)) return [];
		return [{ ...item, what: { ...what, balloon: hollow(what.balloon, out) } }];
	});
	const { weight } = bunch;
	const gone = weight?.kind === 'balloon' && out.has(weight.balloon.slot);
	const held = weight?.kind === 'balloon' ? { ...weight, balloon: hollow(weight.balloon, out) } : weight;
	return { ...bunch, items, weight: gone ? null : held };
}

const rowsOf = ({ structure }: Section): Id[] =>
	structure.kind === 'stack' ? structure.layers.map((l) => l.id) : [];

function piecesWithout(
	pieces: readonly AppliedPiece[],
	out: ReadonlySet<Id>,
	isThere: (host: Host) => boolean
): AppliedPiece[] {
	let left = pieces.flatMap((piece) => {
		if (piece.what.kind === 'balloon' && out.has(piece.what.balloon.slot)) return [];
		const on = piece.on.filter(({ host }) => isThere(host));
		const { what } = piece;
		const thing = what.kind === 'balloon' ? { ...what, balloon: hollow(what.balloon, out) } : what;
		return on.length === 0 ? [] : [{ ...piece, on, what: thing }];
	});
	// A piece that sat on one of those goes with it, and so on outwards.
	for (;;) {
		const ids = new Set(left.map((p) => p.id));
		const next = left.flatMap((piece) => {
			const on = piece.on.filter(({ host }) => host.on !== 'piece' || ids.has(host.piece));
			return on.length === 0 ? [] : on.length === piece.on.length ? [piece] : [{ ...piece, on }];
		});
		if (next.length === left.length) return next;
		left = next;
	}
}

function layerWithout(layer: Layer, out: ReadonlySet<Id>): Layer[] {
	const [only] = layer.clusters;
	const rings =
		layer.clusters.length === 1 && only ? ringsWithout(only.pattern, layer.repeat, out) : undefined;
	if (rings && only) {
		if (rings.repeat === 0) return [];
		const places = only.places.filter((p) => p.slot === null || !out.has(p.slot));
		return places.length === 0
			? []
			: [{ ...layer, repeat: rings.repeat, clusters: [{ ...only, pattern: rings.pattern, places }] }];
	}
	const clusters = layer.clusters.flatMap((cluster) => clusterWithout(cluster, out));
	return clusters.length === 0 ? [] : [{ ...layer, clusters }];
}

/** Rings and blocks of a row of one cluster: whole rings go. Undefined for patterns that colour within a ring. */
function ringsWithout(
	pattern: Pattern,
	repeat: number,
	out: ReadonlySet<Id>
): { pattern: Pattern; repeat: number } | undefined {
	if (pattern.kind !== 'rings' && pattern.kind !== 'blocks') return undefined;
	if (slotsOf(pattern).every((s) => !out.has(s))) return { pattern, repeat };
	const left = Array.from({ length: repeat }, (_, ringOfRow) =>
		slotAt(pattern, { place: 0, ringOfRow, ringOfStack: 0, rings: repeat, places: 1 })
	).filter((slot) => !out.has(slot));
	if (pattern.kind === 'rings') {
		const slots = pattern.slots.filter((s) => !out.has(s));
		return {
			pattern: { kind: 'rings', slots: slots.length > 0 ? slots : pattern.slots },
			repeat: left.length
		};
	}
	const blocks = pattern.blocks.filter((b) => !out.has(b.slot));
	return {
		pattern: { kind: 'blocks', blocks: blocks.length > 0 ? blocks : pattern.blocks },
		repeat: left.length
	};
}

function clusterWithout(cluster: Cluster, out: ReadonlySet<Id>): Cluster[] {
	const { pattern } = cluster;
	const strands = slotsOf(pattern).filter((s) => !out.has(s));
	// The places of a list keep their own colour: each that stays says it itself.
	const named =
		pattern.kind === 'list'
			? cluster.places.map((place, at) => ({
					...place,
					slot:
						place.slot ??
						slotAt(pattern, {
							place: at,
							ringOfRow: 0,
							ringOfStack: 0,
							rings: 1,
							places: cluster.places.length
						})
				}))
			: cluster.places;
	const places = named.filter((p) => (p.slot === null ? strands.length > 0 : !out.has(p.slot)));
	if (places.length === 0) return [];
	return [{ ...cluster, places, pattern: strands.length > 0 ? thinned(pattern, out, strands) : pattern }];
}

function thinned(pattern: Pattern, out: ReadonlySet<Id>, strands: readonly Id[]): Pattern {
	switch (pattern.kind) {
		case 'same':
			return pattern;
		case 'blocks':
			return { kind: 'blocks', blocks: pattern.blocks.filter((b) => !out.has(b.slot)) };
		case 'list':
			return { kind: 'list', slots: strands };
		default:
			return { ...pattern, slots: pattern.slots.filter((s) => !out.has(s)) };
	}
}
