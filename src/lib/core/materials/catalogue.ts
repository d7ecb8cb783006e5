import type { Micrometres } from '../units/length.ts';
import type { Colour, Material, MaterialKind } from './material.ts';

/** The Stockroom as the computation reads it: indexed once, then only looked up. */
export interface Catalogue {
	readonly materials: ReadonlyMap<string, Material>;
	readonly colours: ReadonlyMap<string, Colour>;
	/** Names of colours by their ids: with the finish wherever another colour has the same name. */
	readonly colourNames: ReadonlyMap<string, string>;
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
	// What is not offered any more is found last.
	const offered = [...materials.filter((m) => !m.retired), ...materials.filter((m) => m.retired && !m.into)];
	for (const material of offered) {
		const key = matchKey(material.kind, material.nominal, material.colour, material.mark);
		if (!byMatch.has(key)) byMatch.set(key, material);
	}
	const byId = new Map(materials.map((m) => [m.id, m]));
	const made = materials.filter((m) => m.into).map((m) => [m, standsFor(byId, m.into!) ?? m] as const);
	for (const [{ id, kind, nominal, colour, mark }, stands] of made) {
		byId.set(id, stands);
		// What is called for by its size and colour gets it too.
		const key = matchKey(kind, nominal, colour, mark);
		if (!byMatch.has(key)) byMatch.set(key, stands);
	}
	return {
		materials: byId,
		colours: new Map(colours.map((c) => [c.id, c])),
		colourNames: colourNames(colours),
		byMatch
	};
}

/** The material that stands for one that was made one with it, at the end of the way; undefined where that leads round. */
function standsFor(byId: ReadonlyMap<string, Material>, into: string): Material | undefined {
	const seen = new Set<string>();
	let now = byId.get(into);
	while (now?.into && !seen.has(now.id)) {
		seen.add(now.id);
		now = byId.get(now.into);
	}
	return now && !seen.has(now.id) ? now : undefined;
}

/** What may be chosen: all that is offered. */
export const offeredOf = <M extends Pick<Material, 'retired'>>(materials: readonly M[]): readonly M[] =>
	materials.some((m) => m.retired) ? materials.filter((m) => !m.retired) : materials;

function colourNames(colours: readonly Colour[]): Map<string, string> {
	const times = new Map<string, number>();
	const plain = (c: Colour) => c.name.toLowerCase();
	for (const c of colours) times.set(plain(c), (times.get(plain(c)) ?? 0) + 1);
	return new Map(colours.map((c) => [c.id, times.get(plain(c))! > 1 ? `${c.name} ${c.finish}` : c.name]));
}
