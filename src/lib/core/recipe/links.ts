import { slotsOf } from '../document/pattern.ts';
import { partWord, slotsOfStructure } from '../structures/registry/refs.ts';
import type { Cluster } from '../document/cluster.ts';
import type { Recipe, Section } from './recipe.ts';

/** A part of a recipe that names another which is not there. */
export interface BrokenLink {
	readonly path: (string | number)[];
	readonly message: string;
}

/**
 * Names of parts that lead nowhere: a slot that is not there, a section that in the end stands by itself.
 * Pieces whose host is gone are no fault of the document: the checker speaks of them.
 */
export function brokenLinks(recipe: Recipe): BrokenLink[] {
	const broken: BrokenLink[] = [];
	const known = new Set(recipe.slots.map((s) => s.id));
	const lost = lostSection(recipe.sections);
	if (lost >= 0) {
		broken.push({
			path: ['sections', lost, 'stand'],
			message: 'It stands by a section that is not there, or in the end by itself.'
		});
	}
	recipe.sections.forEach((section, at) => {
		if (slotsIn(section).every((slot) => known.has(slot))) return;
		const message = `${partWord(section.structure)} names a slot the recipe does not have.`;
		broken.push({ path: ['sections', at], message });
	});
	return broken;
}

/** Every slot a section names, as often as it does. */
export const slotsIn = ({ structure }: Section): string[] => slotsOfStructure(structure);

/** Slots of a cluster's pattern and of its places, each as often as it is named. */
export function slotsOfCluster({ pattern, places }: Cluster): string[] {
	const slots = [...slotsOf(pattern)];
	for (const { slot, inside } of places) {
		if (slot !== null) slots.push(slot);
		if (inside?.kind === 'balloon') slots.push(inside.slot);
	}
	return slots;
}

/** Index of the first section whose way down never reaches the floor; -1 where all do. */
function lostSection(sections: readonly Section[]): number {
	return sections.findIndex((start) => {
		let now: Section | undefined = start;
		for (let steps = 0; now; steps++) {
			const { by }: { by: string | null } = now.stand;
			if (by === null) return false;
			if (steps > sections.length) return true;
			now = sections.find((s) => s.id === by);
		}
		return true;
	});
}
