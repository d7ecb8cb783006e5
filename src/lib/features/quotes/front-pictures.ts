import { isBare, type Assembly } from '../../core/assembly/assemble.ts';
import type { Catalogue } from '../../core/materials/catalogue.ts';
import type { QuotedLine } from '../../core/quote/quote.ts';
import { drawAssembly, type DrawList } from '../../core/scene/draw-list.ts';

/** A piece of a quote as it is seen from the front. */
export interface SeenPiece {
	readonly id: string;
	readonly name: string;
	readonly quantity: number;
	readonly list: DrawList;
}

/** Assemblies never change: a key in a field of prices draws none of them anew. */
const drawn = new WeakMap<Assembly, { readonly catalogue: Catalogue; readonly list: DrawList }>();

function frontOf(assembly: Assembly, catalogue: Catalogue): DrawList {
	const before = drawn.get(assembly);
	if (before?.catalogue === catalogue) return before.list;
	const list = drawAssembly(assembly, { catalogue, view: 'front' });
	drawn.set(assembly, { catalogue, list });
	return list;
}

/** Pieces of lines that there is something to see of. */
export const seenPieces = (lines: readonly QuotedLine[], catalogue: Catalogue): SeenPiece[] =>
	lines.flatMap(({ item: { id, quantity, recipe }, tally: { assembly } }) =>
		isBare(assembly) ? [] : [{ id, name: recipe.name, quantity, list: frontOf(assembly, catalogue) }]
	);
