import type { Side } from '../document/side.ts';
import type { Micrometres } from '../units/length.ts';
import type { Id } from '../document/id.ts';
import type { Structure } from '../structures/kinds.ts';
import type { Host, Way } from '../document/host.ts';
import { hostPartOf } from '../structures/registry/refs.ts';
import type { Recipe } from './recipe.ts';

/** What a host is in its recipe, rows and places counted from 1; each screen says it in its own words. */
export type FoundHost =
	| {
			readonly kind: 'row';
			readonly section: string;
			readonly row: number;
			readonly side: Side;
			readonly in: 'between' | 'middle' | undefined;
	  }
	| {
			readonly kind: 'place';
			readonly section: string;
			readonly row: number;
			readonly place: number;
			readonly way: Way | undefined;
	  }
	/** Another piece, or an item of a bunch. */
	| {
			readonly kind: 'part';
			readonly name: string;
			readonly way: Way | undefined;
			/** So far along it, where it is a limb. */
			readonly along: Micrometres | undefined;
	  }
	| { readonly kind: 'wall'; readonly height: Micrometres }
	/** A point of a run, so far along it. */
	| { readonly kind: 'path'; readonly at: Micrometres }
	/** A part of a frame or a weave. */
	| { readonly kind: 'spot'; readonly spot: string }
	| { readonly kind: 'gone'; readonly what: 'row' | 'place' | 'piece' };

/** Which row of a structure a layer is, counted from 1; undefined where it has none of that id. */
export function rowOf(structure: Structure, layer: Id): number | undefined {
	const found = hostPartOf(structure, { on: 'layer', layer, side: 'all' });
	return found?.kind === 'row' ? found.row : undefined;
}

export function findHost(host: Host, { sections }: Pick<Recipe, 'sections'>): FoundHost {
	if (host.on === 'wall') return { kind: 'wall', height: host.height };
	if (host.on === 'path') return { kind: 'path', at: host.at };
	if (host.on === 'spot') return { kind: 'spot', spot: host.spot };
	for (const { name: section, structure } of sections) {
		const found = hostPartOf(structure, host);
		if (found?.kind === 'row' && host.on === 'layer')
			return { ...found, section, side: host.side, in: host.in };
		const way = 'way' in host ? host.way : undefined;
		if (found?.kind === 'place') return { ...found, section, way };
		if (found?.kind === 'part') return { ...found, way, along: host.on === 'piece' ? host.along : undefined };
	}
	return { kind: 'gone', what: host.on === 'layer' ? 'row' : host.on };
}
