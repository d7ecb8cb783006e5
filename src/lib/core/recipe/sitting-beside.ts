import { isOnHosts } from '../structures/registry/picture.ts';
import { hostPartOf, reaches, sitsOn } from '../structures/registry/refs.ts';
import type { Section } from './recipe.ts';

/** Sections a limb goes over to from the one it is fixed to, by what it names of them. */
export function reachedFrom(
	sections: readonly Section[],
	section: Section,
	beside: readonly Section[]
): Section[] {
	const over = reaches(section.structure);
	if (over.length === 0) return [];
	return sections.filter(
		(s) =>
			s.id !== section.id &&
			s.id !== section.stand.by &&
			!beside.includes(s) &&
			over.some((host) => hostPartOf(s.structure, host) !== undefined)
	);
}

/** Sections with pieces that a section or those of it sit on, where both are on one host: the head that feelers are fixed to. */
export function sittingBeside(sections: readonly Section[], section: Section): Section[] {
	const own = isOnHosts(section.structure) ? sitsOn(section.structure) : [section.stand.at ?? []].flat();
	const named = own.filter((h) => h.on === 'piece');
	if (named.length === 0) return [];
	return sections.filter(
		(s) =>
			s.id !== section.id &&
			s.stand.by === section.stand.by &&
			isOnHosts(s.structure) &&
			named.some((host) => hostPartOf(s.structure, host) !== undefined)
	);
}
