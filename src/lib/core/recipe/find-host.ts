import type { Side } from '../document/side.ts';
import type { Micrometres } from '../units/length.ts';
import type { Host } from '../document/host.ts';
import type { Recipe } from './recipe.ts';

/** What a host is in its recipe, rows and places counted from 1; each screen says it in its own words. */
export type FoundHost =
	| { readonly kind: 'row'; readonly section: string; readonly row: number; readonly side: Side }
	| { readonly kind: 'place'; readonly section: string; readonly row: number; readonly place: number }
	/** Another piece, or an item of a bunch. */
	| { readonly kind: 'part'; readonly name: string }
	| { readonly kind: 'wall'; readonly height: Micrometres }
	/** A point of a run, so far along it. */
	| { readonly kind: 'path'; readonly at: Micrometres }
	| { readonly kind: 'gone'; readonly what: 'row' | 'place' | 'piece' };

export function findHost(host: Host, { sections }: Pick<Recipe, 'sections'>): FoundHost {
	if (host.on === 'wall') return { kind: 'wall', height: host.height };
	if (host.on === 'path') return { kind: 'path', at: host.at };
	for (const { name: section, structure } of sections) {
		if (structure.kind === 'stack') {
			for (const [at, layer] of structure.layers.entries()) {
				const row = at + 1;
				if (host.on === 'layer' && layer.id === host.layer)
					return { kind: 'row', section, row, side: host.side };
				if (host.on !== 'place') continue;
				const place = layer.clusters.flatMap((c) => c.places).findIndex((p) => p.id === host.place) + 1;
				if (place > 0) return { kind: 'place', section, row, place };
			}
		}
		const part =
			structure.kind === 'applied' && host.on === 'piece'
				? structure.pieces.find((p) => p.id === host.piece)
				: structure.kind === 'bunch' && host.on === 'place'
					? structure.items.find((i) => i.id === host.place)
					: undefined;
		if (part) return { kind: 'part', name: part.name };
	}
	return { kind: 'gone', what: host.on === 'layer' ? 'row' : host.on };
}
