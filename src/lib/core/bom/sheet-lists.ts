import type { Rest, SheetPiece } from '../cutting/sheets.ts';
import type { Id } from '../document/id.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { unitCost } from '../materials/unit-cost.ts';
import type { Library } from '../recipe/library.ts';
import { platesIn } from '../structures/registry/count.ts';
import { SQUARE_FEET } from '../units/area.ts';
import { um } from '../units/length.ts';
import { copies, countDesigns, type Wanted } from './explode.ts';

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
	const lists = new Map<Id | null, Map<string, { wide: number; deep: number; quantity: number }>>();
	for (const node of together.flatMap((wanted) => [...countDesigns(wanted, library)]))
		for (const section of node.recipe.sections) {
			const plates = platesIn(section.structure);
			if (!plates) continue;
			const { material, wide, deep, count } = plates;
			if (material !== null && materials.get(material)?.unit !== SQUARE_FEET) continue;
			const own = lists.get(material) ?? new Map<string, { wide: number; deep: number; quantity: number }>();
			lists.set(material, own);
			const key = `${wide}/${deep}`;
			const before = own.get(key) ?? { wide, deep, quantity: 0 };
			before.quantity += count * Math.ceil(copies(node, section).all.valueOf() - 1e-9);
			own.set(key, before);
		}
	return [...lists].map(([material, pieces]) => {
		const stuff = material === null ? undefined : materials.get(material);
		return {
			material,
			pieces: [...pieces.values()].map((p) => ({ ...p, wide: um(p.wide), deep: um(p.deep) })),
			perSquareFoot: stuff ? (unitCost({ ...stuff, reuse: null })?.valueOf() ?? null) : null,
			own: shelf
				.filter((r) => r.material === material)
				.map(({ wide, deep, count }) => ({ wide, deep, count }))
		};
	});
}
