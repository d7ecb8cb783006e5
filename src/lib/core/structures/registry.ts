import { standsOnFloor } from '../recipe/sections.ts';
import type { Applied } from './applied/document.ts';
import type { Colourway } from '../document/slot.ts';
import type { Extras } from './extras/document.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import type { Structure } from './kinds.ts';
import { rational, ZERO, type Rational } from '../units/rational.ts';
import type { TaskCount } from '../labour/task.ts';
import { applied, countOfPiece } from './applied/count.ts';
import { bunch } from './bunch/count.ts';
import { extras } from './extras/count.ts';
import { form } from './form/count.ts';
import { run } from './run/count.ts';
import { weave } from './weave/count.ts';
import { stack } from './stack/count.ts';
import type { Need } from './kit/need.ts';

/** The structures a section can have. Another design as a part is no structure: the bill nests it. */
export const STRUCTURES = { stack, applied, extras, bunch, form, run, weave } as const;

export function balloonsOf(s: Structure): number {
	switch (s.kind) {
		case 'stack':
			return stack.balloons(s);
		case 'applied':
			return applied.balloons(s);
		case 'bunch':
			return bunch.balloons(s);
		case 'form':
			return form.balloons(s);
		case 'run':
			return run.balloons(s);
		case 'weave':
			return weave.balloons(s);
		default:
			return 0;
	}
}

const needsKept = new WeakMap<
	Structure,
	{ readonly colourway: Colourway | undefined; readonly needs: Need[] }
>();
const tasksKept = new WeakMap<Structure, TaskCount[]>();

/** Things that are no balloons of clusters, in one of it: lines and applied pieces. */
export const piecesOf = (s: Extras | Applied): Rational =>
	s.kind === 'extras'
		? s.lines.reduce((a, l) => a.add(rational(l.range?.high ?? l.quantity)), ZERO)
		: rational(s.pieces.reduce((a, p) => a + countOfPiece(p), 0));

/** Structures never change: what one needs is kept until it is asked for in other colours. */
export function needsOf(s: Structure, colourway: Colourway | undefined): readonly Need[] {
	const had = needsKept.get(s);
	if (had && had.colourway === colourway) return had.needs;
	const needs = workOutNeeds(s, colourway);
	needsKept.set(s, { colourway, needs });
	return needs;
}

export function tasksOf(s: Structure): readonly TaskCount[] {
	const had = tasksKept.get(s) ?? workOutTasks(s);
	tasksKept.set(s, had);
	return had;
}

function workOutNeeds(s: Structure, colourway: Colourway | undefined): Need[] {
	switch (s.kind) {
		case 'stack':
			return stack.needs(s, colourway);
		case 'applied':
			return applied.needs(s, colourway);
		case 'extras':
			return extras.needs(s);
		case 'bunch':
			return bunch.needs(s, colourway);
		case 'form':
			return form.needs(s, colourway);
		case 'run':
			return run.needs(s, colourway);
		case 'weave':
			return weave.needs(s, colourway);
		case 'design':
			return [];
	}
}

function workOutTasks(s: Structure): TaskCount[] {
	switch (s.kind) {
		case 'stack':
			return stack.tasks(s);
		case 'applied':
			return applied.tasks(s);
		case 'extras':
			return extras.tasks(s);
		case 'bunch':
			return bunch.tasks(s);
		case 'form':
			return form.tasks(s);
		case 'run':
			return run.tasks(s);
		case 'weave':
			return weave.tasks(s);
		case 'design':
			return [];
	}
}

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
	const own = tasksOf(section.structure).filter(
		({ task }) => section.stand.by === null || (task !== 'set up' && task !== 'strike')
	);
	const { kind } = section.structure;
	// Pieces are fixed one by one: their section is no thing of its own to attach.
	const empty = isOnHosts(section.structure) || (kind !== 'design' && own.length === 0);
	if (standsOnFloor(recipe, section) || empty) return own;
	return [...own, { task: 'attach', method: 'hole', count: 1, batches: [] }];
}

/** Pieces and limbs that sit on what their section stands by, each where it says. */
export const isOnHosts = (s: Structure): boolean =>
	s.kind === 'applied' || (s.kind === 'form' && s.pieces.some((p) => p.at !== null));

/** Work on the spot, which a design inside another does not take again. */
export const isOnSite = ({ task }: TaskCount): boolean => task === 'set up' || task === 'strike';
