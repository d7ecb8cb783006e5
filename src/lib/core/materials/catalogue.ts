import type { Micrometres } from '../units/length.ts';
import type { Colour, Material, MaterialKind } from './material.ts';

/** The Stockroom as the computation reads it: indexed once, then only looked up. */
export interface Catalogue {
	readonly materials: ReadonlyMap<string, Material>;
	readonly colours: ReadonlyMap<string, Colour>;
	/** Materials by {@link matchKey}. */
	readonly byMatch: ReadonlyMap<string, Material>;
}

/** What makes two balloons the same purchase: kind, nominal size, colour (which includes its finish), letter or model. */
export const matchKey = (
	kind: MaterialKind,
	nominal: Micrometres | null,
	colour: string | null,
	mark: string | null = null
): string => `${kind}/${nominal ?? ''}/${colour ?? ''}${mark === null ? '' : `/${mark}`}`;

export function catalogue(materials: readonly Material[], colours: readonly Colour[]): Catalogue {
	const byMatch = new Map<string, Material>();
	for (const material of materials) {
		const key = matchKey(material.kind, material.nominal, material.colour, material.mark);
		if (!byMatch.has(key)) byMatch.set(key, material);
	}
	return {
		materials: new Map(materials.map((m) => [m.id, m])),
		colours: new Map(colours.map((c) => [c.id, c])),
		byMatch
	};
}
