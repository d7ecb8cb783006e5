import type { Colour, Material } from '../materials/material.ts';
import { matchKey } from '../materials/catalogue.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { needsOf } from '../structures/registry/count.ts';
import { namesIn } from './remap.ts';

export const BUNDLE_FORMAT = 'bright-tally/recipes';
export const BUNDLE_VERSION = 1;

/** A material as a file carries it: what it is, not what its packs cost. */
export type FiledMaterial = Omit<Material, 'packs' | 'retired' | 'into' | 'counts' | 'average'>;

/** Several designs in one file, with the materials and colours they name. Guarded by `bundle.schema.ts`. */
export interface Bundle {
	readonly format: typeof BUNDLE_FORMAT;
	readonly version: typeof BUNDLE_VERSION;
	readonly colours: readonly Colour[];
	readonly materials: readonly FiledMaterial[];
	/** Designs that others of them use included, whatever their order. */
	readonly designs: readonly { readonly id: Id; readonly recipe: Recipe }[];
}

/** The recipe file of several designs: only what they name goes with them, and no prices. */
export function bundleOf(
	designs: Bundle['designs'],
	stock: { readonly materials: readonly Material[]; readonly colours: readonly Colour[] }
): Bundle {
	const named = designs.map(({ recipe }) => namesIn(recipe));
	const wanted = new Set(named.flatMap((n) => [...n.materials]));
	const colours = new Set(named.flatMap((n) => [...n.colours]));
	const balloons = new Set(designs.flatMap(({ recipe }) => balloonsIn(recipe)));
	const materials = stock.materials.filter(
		(m) => wanted.has(m.id) || balloons.has(matchKey(m.kind, m.nominal, m.colour, m.mark))
	);
	for (const { colour } of materials) if (colour !== null) colours.add(colour);
	for (const { id, of } of stock.colours)
		if (of && colours.has(id)) for (const part of of) colours.add(part.colour);
	return {
		format: BUNDLE_FORMAT,
		version: BUNDLE_VERSION,
		colours: stock.colours.filter((c) => colours.has(c.id)),
		materials: materials.map(
			({ packs: _, retired: _r, into: _i, counts: _c, average: _a, ...material }) => material
		),
		designs
	};
}

/** Keys of every balloon in every colourway, of whatever structure: materials are found by these. */
function balloonsIn(recipe: Recipe): string[] {
	const found = new Set<string>();
	for (const { structure } of recipe.sections)
		for (const colourway of recipe.colourways)
			for (const need of needsOf(structure, colourway))
				if (need.what === 'balloon')
					found.add(matchKey(need.kind, need.nominal, need.colour, need.mark ?? null));
	return [...found];
}
