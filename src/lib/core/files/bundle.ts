import type { Colour, Material } from '../materials/material.ts';
import { slotsOf } from '../recipe/pattern.ts';
import type { Id, Recipe } from '../recipe/recipe.ts';
import { namesIn } from './remap.ts';

export const BUNDLE_FORMAT = 'bright-tally/recipes';
export const BUNDLE_VERSION = 1;

/** A material as a file carries it: what it is, not what its packs cost. */
export type FiledMaterial = Omit<Material, 'packs'>;

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
		(m) => wanted.has(m.id) || balloons.has(`${m.kind}/${m.nominal ?? ''}/${m.colour ?? ''}`)
	);
	for (const { colour } of materials) if (colour !== null) colours.add(colour);
	return {
		format: BUNDLE_FORMAT,
		version: BUNDLE_VERSION,
		colours: stock.colours.filter((c) => colours.has(c.id)),
		materials: materials.map(({ packs: _, ...material }) => material),
		designs
	};
}

/** Kind, size and colour of every balloon in every colourway: materials are found by these. */
function balloonsIn(recipe: Recipe): string[] {
	const found = new Set<string>();
	const put = (kind: string, nominal: number, slots: readonly Id[]) => {
		for (const { fills } of recipe.colourways)
			for (const slot of slots) found.add(`${kind}/${nominal}/${fills[slot] ?? ''}`);
	};
	for (const { structure } of recipe.sections) {
		if (structure.kind === 'stack')
			for (const { pattern, places } of structure.layers.flatMap((l) => l.clusters))
				for (const { kind, nominal, slot } of places)
					put(kind, nominal, slot === null ? slotsOf(pattern) : [slot]);
		if (structure.kind === 'applied')
			for (const { what } of structure.pieces)
				if (what.kind === 'balloon') put(what.balloon.kind, what.balloon.nominal, [what.balloon.slot]);
	}
	return [...found];
}
