import type { Host } from '../../../core/document/host.ts';
import type { Id } from '../../../core/document/id.ts';
import { SIDES } from '../../../core/document/side.ts';
import type { Recipe } from '../../../core/recipe/recipe.ts';
import { isOnHosts } from '../../../core/structures/registry/picture.ts';
import { hostsOf } from '../../../core/structures/registry/refs.ts';
import { hostWords } from '../section-words.ts';

/** A host by a key of its own, with its words. */
export type HostChoice = readonly [key: string, host: Host, words: string];

/** Without where on it: that is said beside. */
export const bare = (host: Host): Host => ('way' in host ? { ...host, way: undefined } : host);

/**
 * What a piece may sit on: rows of what carries it by side, each balloon of them, and pieces beside it.
 * @param carrier section that carries it; null is a wall
 * @param own the piece itself, which it cannot sit on
 * @param now what it sits on now, which stays among them
 */
export function hostChoices(
	recipe: Recipe,
	carrier: Id | null,
	own: Id,
	now: readonly Host[]
): readonly HostChoice[] {
	const found: HostChoice[] = [];
	const add = (host: Host) => found.push([JSON.stringify(host), host, hostWords(host, recipe)]);
	const section = recipe.sections.find((s) => s.id === carrier);
	const { rows = [], spots = [] } = section ? hostsOf(section.structure) : {};
	(rows ?? []).forEach(({ id, places }, i, all) => {
		for (const side of SIDES) add({ on: 'layer', layer: id, side });
		if (i < all.length - 1) for (const side of SIDES) add({ on: 'layer', layer: id, side, in: 'between' });
		add({ on: 'layer', layer: id, side: 'front', in: 'middle' });
		for (const place of places()) add({ on: 'place', place });
	});
	for (const { name } of spots) add({ on: 'spot', spot: name });
	for (const { structure, stand } of recipe.sections)
		if (isOnHosts(structure) && stand.by === carrier)
			for (const { host } of hostsOf(structure).named)
				if (host.on !== 'piece' || host.piece !== own) add(host);
	for (const host of now) if (!found.some(([key]) => key === JSON.stringify(host))) add(host);
	return found;
}

/** Sides of the rows of other sections, each with the name of its own: what the far end of a limb may be tied to. */
export function farHosts(recipe: Recipe, carrier: Id | null): HostChoice[] {
	return recipe.sections.flatMap(({ id, name, structure }): HostChoice[] =>
		id === carrier
			? []
			: (hostsOf(structure).rows ?? []).flatMap((row) =>
					SIDES.filter((s) => s !== 'all').map((side): HostChoice => {
						const host: Host = { on: 'layer', layer: row.id, side };
						return [JSON.stringify(host), host, `${name} ${hostWords(host, recipe)}`];
					})
				)
	);
}
