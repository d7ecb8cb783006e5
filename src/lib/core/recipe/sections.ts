import type { Recipe, Section } from './recipe.ts';
import type { Stand } from '../document/stand.ts';

/** Whether a section's lowest balloons touch the floor: what stands beside something raised is as high as that. */
export function standsOnFloor(recipe: Pick<Recipe, 'sections'>, section: Section): boolean {
	let at: Section | undefined = section;
	for (let steps = 0; at && steps <= recipe.sections.length; steps++) {
		const { by, how, layer, height, at: host }: Stand = at.stand;
		if (by !== null && host !== undefined) return false;
		if (by === null || (how !== 'on top' && layer === null && height === 0)) return true;
		if (how === 'on top' || layer !== null || height !== null) return false;
		at = recipe.sections.find((s) => s.id === by);
	}
	return true;
}
