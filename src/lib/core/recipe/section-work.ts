import type { Step } from '../document/step.ts';
import type { Section, Recipe } from './recipe.ts';
import type { Colourway } from '../document/slot.ts';
import type { Material } from '../materials/material.ts';
import type { Need } from '../structures/kit/need.ts';
import { siteOf, siteTasks } from '../labour/site.ts';
import { needsOf, siteOfStructure, tasksOf } from '../structures/registry/count.ts';
import { isOnHosts } from '../structures/registry/picture.ts';
import { nestedIn } from '../structures/registry/refs.ts';
import { rational } from '../units/rational.ts';
import { plainTask, type TaskCount } from '../labour/task.ts';
import { standsOnFloor } from './sections.ts';

/** What one copy of a section needs; what is tied on takes its tie. Floor contacts count only for copies on the floor. */
export function sectionNeeds(
	{ structure, stand }: Section,
	colourway: Colourway | undefined
): readonly Need[] {
	const own = needsOf(structure, colourway);
	if (stand.by === null || stand.tie === null) return own;
	return [...own, { what: 'material', material: stand.tie, label: 'tie', quantity: rational(1) }];
}

/** Patches are put under what touches the floor, whatever it stands by. */
export const isPatching = ({ task }: TaskCount): boolean => task === 'patch';

export const isFloorContact = (need: Need): boolean => need.what === 'count' && need.of === 'floor contact';

/** Materials by their ids, as far as their weight is asked for. */
export type Weighed = ReadonlyMap<string, Pick<Material, 'grams'>>;
const NOTHING_WEIGHED: Weighed = new Map();

/** Structures never change: what one weighs is worked out once for a Stockroom. */
const weighed = new WeakMap<Section['structure'], { readonly materials: Weighed; readonly kg: number }>();

/** What one copy of a section weighs, kg: its base, pipe and weights, as far as the Stockroom says what each weighs. */
export function weightOf({ structure }: Pick<Section, 'structure'>, materials: Weighed): number {
	const before = weighed.get(structure);
	if (before?.materials === materials) return before.kg;
	const kg = needsOf(structure, undefined).reduce((sum, need) => {
		if (need.what !== 'material' || need.material === null || need.role === 'taken along') return sum;
		return sum + ((materials.get(need.material)?.grams ?? 0) * need.quantity.valueOf()) / 1000;
	}, 0);
	weighed.set(structure, { materials, kg });
	return kg;
}

/**
 * The work of one copy of a section. What stands by another is set up and struck with that one; what stands on it,
 * or hangs beside it over the floor, is attached to it.
 */
export function sectionTasks(
	recipe: Recipe,
	section: Section,
	materials: Weighed = NOTHING_WEIGHED
): readonly TaskCount[] {
	const site = section.stand.by === null ? siteOfStructure(section.structure) : null;
	const own = [...tasksOf(section.structure), ...(site ? siteTasks(site, weightOf(section, materials)) : [])];
	// Pieces are fixed one by one: their section is no thing of its own to attach.
	const empty = isOnHosts(section.structure) || (own.length === 0 && !nestedIn(section.structure));
	if (standsOnFloor(recipe, section) || empty) return own;
	return [...own, plainTask('attach', 1)];
}

/** Work on the spot, which a design inside another does not take again. */
export const isOnSite = (task: TaskCount): boolean => siteOf(task) !== undefined;

/** The work of a step in her own words; nothing where she says no time. */
export const stepTasks = ({ own, out, says }: Step): TaskCount[] =>
	own && !out && says.takes ? [plainTask('own steps', says.takes / 60)] : [];
