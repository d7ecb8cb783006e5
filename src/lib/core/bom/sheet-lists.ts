import type { Rest, SheetPiece } from '../cutting/sheets.ts';
import type { Id } from '../document/id.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { countingPack } from '../materials/counting-pack.ts';
import type { Library } from '../recipe/library.ts';
import { platesIn } from '../structures/registry/count.ts';
import { SQUARE_FEET } from '../units/area.ts';
import { builtSections, type Wanted } from './explode.ts';

/** What is cut of one sheet stuff, over everything that is built together. */
export interface SheetList {
	readonly material: Id | null;
	readonly pieces: readonly SheetPiece[];
	/** Minor units a square foot; null is not known. */
	readonly perSquareFoot: number | null;
	readonly own: readonly Rest[];
}

/** A rest of a sheet that lies on the shelf. */
export interface RestOnShelf extends Rest {
	readonly material: Id;
}

/**
 * Plates of every frame of designs and the designs inside them that are cut of sheets: what is sold by the square foot, and
 * what nobody has chosen yet. A plate that is bought as it is is none of them.
 */
export function sheetListsOf(
	together: readonly Wanted[],
	library: Library,
	{ materials }: Pick<Catalogue, 'materials'>,
	shelf: readonly RestOnShelf[] = []
): SheetList[] {
	const lists = new Map<Id | null, Map<string, SheetPiece>>();
	for (const { structure, all } of builtSections(together, library)) {
		const plates = platesIn(structure);
		if (!plates) continue;
		const { material, wide, deep, count } = plates;
		if (material !== null && materials.get(material)?.unit !== SQUARE_FEET) continue;
		const own = lists.get(material) ?? new Map<string, SheetPiece>();
		lists.set(material, own);
		const key = `${wide}/${deep}`;
		own.set(key, { wide, deep, quantity: (own.get(key)?.quantity ?? 0) + count * all });
	}
	return [...lists].map(([material, pieces]) => {
		const stuff = material === null ? undefined : materials.get(material);
		const pack = stuff && countingPack(stuff);
		return {
			material,
			pieces: [...pieces.values()],
			perSquareFoot: pack ? pack.priceMinor / pack.count : null,
			own: shelf
				.filter((r) => r.material === material)
				.map(({ wide, deep, count }) => ({ wide, deep, count }))
		};
	});
}
