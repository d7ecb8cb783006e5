import type { Step } from '../document/step.ts';
import type { Section, Recipe } from './recipe.ts';
import type { Colourway } from '../document/slot.ts';
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

/**
 * The work of one copy of a section. What stands by another is set up and struck with that one; what stands on it,
 * or hangs beside it over the floor, is attached to it.
 */
export function sectionTasks(recipe: Recipe, section: Section): readonly TaskCount[] {
	const site = section.stand.by === null ? siteOfStructure(section.structure) : null;
	const own = [...tasksOf(section.structure), ...(site ? siteTasks(site) : [])];
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
