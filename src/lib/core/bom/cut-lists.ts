import type { CutPiece, CuttingProblem } from '../cutting/cutting.ts';
import type { Id } from '../document/id.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Material } from '../materials/material.ts';
import type { Library } from '../recipe/library.ts';
import { cutsOf } from '../structures/registry/count.ts';
import { MICROMETRES, um, type Micrometres } from '../units/length.ts';
import { builtSections, type Wanted } from './explode.ts';

/** What is cut of one tube, over everything that is built together. */
export interface CutList {
	readonly material: Id | null;
	readonly problem: CuttingProblem;
}

/** What a blade takes where nobody says: a pipe cutter takes nothing, a fine saw a sixteenth of an inch. House rule, µm. */
const KERF = um(1588);

/** Most lengths one tube is reckoned with. */
const MOST_STICKS = 6;

/** Lengths a tube is sold in, a pack a stick, and the one its frame is said to be of, which may have no price yet. */
function sticksOf(tube: Material | undefined, stick: number): CuttingProblem['stock'] {
	const sold = tube?.unit === 'ft' ? tube.packs : [];
	const packs = sold.map(({ count, priceMinor }) => ({ length: um(count * MICROMETRES.ft), priceMinor }));
	const known = packs.filter((p) => p.priceMinor !== null);
	const own = packs.find((p) => p.length === stick);
	// A length without a price cannot be weighed against those that have one.
	return own && own.priceMinor !== null
		? known.slice(0, MOST_STICKS)
		: [{ length: um(stick), priceMinor: null }];
}

/** So many of a length of a tube that lie on the shelf. */
export interface OnShelf {
	readonly material: Id;
	readonly length: Micrometres;
	readonly count: number;
}
const offcutsOf = (material: Id | null, shelf: readonly OnShelf[]): CuttingProblem['stock'] =>
	shelf
		.filter((o) => o.material === material)
		.map(({ length, count }) => ({ length, priceMinor: null, own: count }));

/**
 * Pieces of every frame of a design and the designs inside it, tube by tube, with the sticks they come out of: as they are
 * said, at the price of a pack of that length where the Stockroom has one. Several that are built together are cut together.
 * @param shelf offcuts that lie there
 */
export function cutListsOf(
	all: Wanted | readonly Wanted[],
	library: Library,
	{ materials }: Pick<Catalogue, 'materials'>,
	shelf: readonly OnShelf[] = []
): CutList[] {
	const together = Array.isArray(all) ? (all as readonly Wanted[]) : [all as Wanted];
	const lists = new Map<string, { material: Id | null; stick: number; pieces: Map<number, number> }>();
	for (const { structure, all: made } of builtSections(together, library)) {
		const cuts = cutsOf(structure);
		if (!cuts || cuts.pieces.length === 0) continue;
		const { material, stick, pieces } = cuts;
		const key = `${material}/${stick}`;
		const own = lists.get(key) ?? { material, stick, pieces: new Map<number, number>() };
		lists.set(key, own);
		for (const { um: long, count } of pieces)
			own.pieces.set(long, (own.pieces.get(long) ?? 0) + count * made);
	}
	// What lies on the shelf is there once, though a tube comes in sticks of two lengths.
	const given = new Set<Id | null>();
	return [...lists.values()].map(({ material, stick, pieces }) => {
		const own = given.has(material) ? [] : offcutsOf(material, shelf);
		given.add(material);
		const tube = material === null ? undefined : materials.get(material);
		const cut = [...pieces].map(([length, quantity]): CutPiece => ({ length: um(length), quantity }));
		return {
			material,
			problem: {
				stock: [...sticksOf(tube, stick), ...own],
				kerf: KERF,
				pieces: cut.sort((a, b) => b.length - a.length)
			}
		};
	});
}
