import { hostPartOf, hostsOf } from '../structures/registry/refs.ts';
import { omitSlots, unhosted } from '../structures/registry/variant.ts';
import type { Host } from '../document/host.ts';
import type { Stand } from '../document/stand.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from './recipe.ts';

/** Whether a host is still among the sections that are left; what was gone before is no matter of theirs: the checker speaks of it. */
function stillThere(before: readonly Section[], left: readonly Section[]): (host: Host) => boolean {
	const carries = (sections: readonly Section[], host: Host) =>
		sections.some((s) => hostPartOf(s.structure, host) !== undefined);
	return (host) => carries(left, host) || !carries(before, host);
}

/**
 * A design with slots left out. What they colour goes: rows of one colour, rings and blocks of a row, places of a
 * list, applied pieces; and pieces whose host is gone. What follows closes up: the stack comes down, the ring draws
 * together. Of a spiral or a checker the other strands take the places over, for a hole would let the ring collapse.
 */
export function omittingSlots(recipe: Recipe, out: ReadonlySet<Id>): Recipe {
	if (out.size === 0) return recipe;
	const left = recipe.sections.map((s): Section => ({ ...s, structure: omitSlots(s.structure, out) }));
	return { ...recipe, sections: hosted(recipe.sections, left) };
}

/** What is left without what sat on something that is gone, and on that, and so on outwards, through all sections. */
export function hosted(before: readonly Section[], left: readonly Section[]): readonly Section[] {
	const named = (sections: readonly Section[]) =>
		sections.reduce((a, s) => a + hostsOf(s.structure).named.length, 0);
	for (let now = left; ;) {
		const isThere = stillThere(before, now);
		const next = now.map((section): Section => ({
			...section,
			stand: standing(section.stand, isThere),
			structure: unhosted(section.structure, isThere)
		}));
		if (named(next) === named(now)) return next;
		now = next;
	}
}

/** Where a section stands when what it was fixed at is not built: by the same section, as it says besides. */
function standing(stand: Stand, isThere: (host: Host) => boolean): Stand {
	const { layer, at } = stand;
	const row = layer !== null && !isThere({ on: 'layer', layer, side: 'all' }) ? { layer: null } : {};
	const seat = at !== undefined && !isThere(at) ? { at: undefined } : {};
	const tied = stand.down !== undefined && !isThere({ on: 'layer', layer: stand.down, side: 'all' }) ? { down: undefined } : {}; // prettier-ignore
	return { ...stand, ...row, ...seat, ...tied };
}
