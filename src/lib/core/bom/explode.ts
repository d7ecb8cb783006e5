import type { Library } from '../recipe/library.ts';
import { DomainError } from '../errors.ts';
import { standsOnFloor } from '../recipe/sections.ts';
import { isUnseen, type Colourway } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { copiesOf } from '../recipe/copies.ts';
import { resolve, type Choice } from '../recipe/resolve.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { balloonsOf, piecesOf, placedIn } from '../structures/registry/count.ts';
import { nestedIn } from '../structures/registry/refs.ts';
import {
	isFloorContact,
	isOnSite,
	isPatching,
	sectionNeeds,
	sectionTasks,
	stepTasks,
	type Weighed
} from '../recipe/section-work.ts';
import { placeOf, type JobRates, type LeftAs } from '../labour/job.ts';
import { pacedDifficulty } from '../labour/paces.ts';
import { isDone } from '../labour/site.ts';
import type { TaskCount } from '../labour/task.ts';
import type { Kind } from '../structures/kinds.ts';
import type { Need } from '../structures/kit/need.ts';
import { ONE, rational, ZERO, type Rational } from '../units/rational.ts';

/** Most balloons a bill may hold; more is a slip or a runaway nest. */
export const MOST_BALLOONS = 100_000;

/** Most other pieces a bill may hold, for the same reason: spares are counted one by one. */
export const MOST_PIECES = 1_000_000;

/** Most sections and pieces that one of a design stands for, designs inside it counted out: each is placed and drawn. */
export const MOST_PARTS = 20_000;

/** A design as the explosion asks for it: which recipe, in which colourway, how many. */
export interface Wanted {
	/** Undefined for a working copy that nobody refers to. */
	readonly design?: string;
	readonly recipe: Recipe;
	readonly colourway: Id | null;
	/** A size option of the recipe; null is as it stands. */
	readonly size?: Id | null;
	readonly quantity: Rational;
	readonly pumps?: readonly PumpProfile[];
}

/** Money that is paid for something that is no material. */
export interface PaidNeed {
	readonly what: 'paid';
	readonly label: string;
	readonly minor: number;
	readonly quantity: Rational;
}

/** A need with where it came from. */
export interface Exploded {
	readonly need: Need | PaidNeed;
	readonly where: string;
	/** The design whose section it is: its slots have their names there. */
	readonly recipe: Recipe;
	/** The line of an order it belongs to, where several are billed together. */
	readonly line?: number;
}

/** A design in one colourway with how many of it there are, however many paths lead to it. */
export interface DesignCount {
	readonly key: string;
	/** As it is built: in its size, without the slots left out. */
	readonly recipe: Recipe;
	readonly colourway: Colourway | undefined;
	quantity: Rational;
	/** Those of them that stand on the floor themselves, not on another piece. */
	grounded: Rational;
	/** Those of them that stand by nothing: each is set up and struck by itself. */
	alone: Rational;
}

/**
 * A design and all designs inside it, each with how many of it there are.
 *
 * Designs are taken in topological order and quantities pushed down, so each design and colourway is visited
 * once however many paths lead to it.
 *
 * @throws {DomainError} `cycle` with the path, `not-found` for a design the library lacks, `too-many` over
 *   {@link MOST_BALLOONS}
 */
export function countDesigns(wanted: Wanted, library: Library): DesignCount[] {
	const order = topological(wanted, library);
	let balloons = ZERO;
	let pieces = ZERO;
	for (const node of order) {
		for (const section of node.recipe.sections) {
			const { structure } = section;
			const here = copies(node, section);
			balloons = balloons.add(here.all.mul(balloonsOf(structure)));
			pieces = pieces.add(here.all.mul(piecesOf(structure)));
			const use = nestedIn(structure);
			if (!use) continue;
			const child = order.find((n) => n.key === keyOf(use.design, use))!;
			const used = rational(use.quantity);
			child.quantity = child.quantity.add(here.all.mul(used));
			child.alone = child.alone.add(here.alone.mul(used));
			child.grounded = child.grounded.add(here.grounded.mul(used));
		}
		refuseOver(balloons, MOST_BALLOONS, 'balloons', node, wanted);
		refuseOver(pieces, MOST_PIECES, 'pieces', node, wanted);
	}
	return order;
}

/**
 * Counted designs, where one of them can also be placed and drawn: every section of every design inside stands by itself
 * in the picture, however little of it there is to count.
 * @throws {DomainError} `too-many` over {@link MOST_PARTS}
 */
export function drawable(order: DesignCount[], wanted: Wanted): DesignCount[] {
	let parts = ZERO;
	for (const node of order) {
		for (const section of node.recipe.sections) {
			parts = parts.add(copies(node, section).all.mul(placedIn(section.structure)));
		}
		refuseOver(parts.div(wanted.quantity), MOST_PARTS, 'parts', node, wanted);
	}
	return order;
}

/** @throws {DomainError} `too-many`, with the design where it went over and the one that was asked for */
function refuseOver(count: Rational, most: number, what: string, node: DesignCount, { recipe }: Wanted) {
	if (count.compare(most) <= 0) return;
	const inside = node.recipe.name === recipe.name ? '' : `, counted up to ${node.recipe.name}`;
	throw new DomainError(
		'too-many',
		`more than ${most.toLocaleString('en')} ${what} in ${recipe.name}${inside}`
	);
}

const times = (quantity: Rational, count: number): Rational => (count === 1 ? quantity : quantity.mul(count));

/** How many copies of a section there are, how many of those touch the floor, and how many stand by nothing. */
export function copies(
	node: DesignCount,
	section: Section
): { all: Rational; grounded: Rational; alone: Rational } {
	const each = copiesOf(node.recipe, section);
	return {
		all: times(node.quantity, each),
		grounded: standsOnFloor(node.recipe, section) ? times(node.grounded, each) : ZERO,
		alone: section.stand.by === null ? times(node.alone, each) : ZERO
	};
}

/** How many whole ones of a section are made. */
export const wholeCopies = (node: DesignCount, section: Section): number =>
	Math.ceil(copies(node, section).all.valueOf() - 1e-9);

/** Every section of designs that are built together and of the designs inside them, with how many of it are made. */
export const builtSections = (together: readonly Wanted[], library: Library) =>
	together
		.flatMap((wanted) => [...countDesigns(wanted, library)])
		.flatMap((node) => node.recipe.sections.map((section) => ({ structure: section.structure, all: wholeCopies(node, section) }))); // prettier-ignore

/** Every need of the designs counted. */
export function explode(order: readonly DesignCount[]): Exploded[] {
	return order.flatMap((node) => {
		/** Slots nobody sees, where no colour is chosen for them. */
		const unseen = new Set(
			node.recipe.slots.filter((s) => isUnseen(s, node.colourway?.fills)).map((s) => s.id)
		);
		/** Backdrops and stands that something hangs on already, each with how many of them. */
		const held = new Map<string, Rational>();
		const paid = (node.recipe.paid ?? []).map(({ label, minor }): Exploded => ({
			need: { what: 'paid', label, minor, quantity: node.quantity },
			where: node.recipe.name,
			recipe: node.recipe
		}));
		const needed = node.recipe.sections.flatMap((section): Exploded[] => {
			const { all, grounded } = copies(node, section);
			const where = node === order[0] ? section.name : `${node.recipe.name}, ${section.name}`;
			return sectionNeeds(section, node.colourway).flatMap((need) => {
				let count = isFloorContact(need) ? grounded : all;
				if (need.what === 'material' && need.shared) {
					const key = need.material ?? need.label;
					const before = held.get(key) ?? ZERO;
					if (count.compare(before) > 0) held.set(key, count);
					count = count.compare(before) > 0 ? count.sub(before) : ZERO;
				}
				if (count.equals(0)) return [];
				const seen = unseen.has(slotOf(need)) ? { ...need, any: true as const } : need;
				const own = count.equals(ONE) ? seen : manyOf(seen, count);
				return [{ need: own, where, recipe: node.recipe }];
			});
		});
		return [...needed, ...paid];
	});
}

/** The slot a balloon is coloured by. */
const slotOf = (need: Need): Id => (need.what === 'balloon' ? need.slot : '');

/** So many times a need: everything that counts in it, the ends of an estimate and the litres of a maker's figure too. */
function manyOf(need: Need, count: Rational): Need {
	const quantity = need.quantity.mul(count);
	if (need.what === 'count')
		return need.holds
			? { ...need, quantity, holds: { ...need.holds, pieces: need.holds.pieces.mul(count) } }
			: { ...need, quantity };
	if (!need.range) return { ...need, quantity };
	const { low, high } = need.range;
	return { ...need, quantity, range: { low: low.mul(count), high: high.mul(count) } };
}

/** A piece of work: how much of it there is, how hard it is, and the kind of structure it is on; null is a step of its own. */
export interface Work {
	readonly task: TaskCount;
	readonly difficulty: string;
	readonly kind: Kind | null;
}

/** The work of the designs counted, with the difficulty of the section it belongs to. */
export function workOf(order: readonly DesignCount[], materials?: Weighed): Work[] {
	return order.flatMap((node) => [
		...node.recipe.sections.flatMap((section) => {
			const { all, grounded, alone } = copies(node, section);
			return sectionTasks(node.recipe, section, materials).flatMap((task) => {
				const count = (isOnSite(task) ? alone : isPatching(task) ? grounded : all).valueOf();
				if (count === 0) return [];
				const ends = task.ends && { less: task.ends.less * count, more: task.ends.more * count };
				const { difficulty, structure } = section;
				return [{ task: { ...task, count: task.count * count, ends }, difficulty, kind: structure.kind }];
			});
		}),
		...node.recipe.steps.flatMap((step) =>
			stepTasks(step).map((task) => ({
				task: { ...task, count: task.count * node.quantity.valueOf() },
				difficulty: '1',
				kind: null
			}))
		)
	]);
}

/** The same work as long as it takes where it is done. */
export const pacedWork = (
	work: readonly Work[],
	jobs: Pick<JobRates, 'paces' | 'at' | 'usual'>
): readonly Work[] => {
	const { paces } = jobs;
	if (!paces || paces.length === 0) return work;
	const place = placeOf(jobs);
	return work.map((w) => ({
		...w,
		difficulty: pacedDifficulty(w.difficulty, w.task, { paces, kind: w.kind, place })
	}));
};

/** The work of designs on a job whose pieces are left so. */
export const workOn = (order: readonly DesignCount[], leftAs: LeftAs, materials?: Weighed): Work[] =>
	workOf(order, materials).filter(({ task }) => isDone(task, leftAs));

const keyOf = (design: string, { colourway, size }: Choice) => `${design}/${colourway ?? ''}/${size ?? ''}`;
const ROOT = '';

/** Users before what they use. Depth first; a design met again on its own path is a cycle. */
function topological(wanted: Wanted, library: Library): DesignCount[] {
	const done = new Map<string, DesignCount>();
	const after: DesignCount[] = [];
	const path: { key: string; name: string }[] = [];
	const visit = (key: string, plain: Recipe, choice: Choice, quantity: Rational) => {
		if (done.has(key)) return;
		const { recipe } = resolve(plain, choice, wanted.pumps);
		const again = path.findIndex((p) => p.key.split('/')[0] === key.split('/')[0] && key !== ROOT);
		if (again >= 0) {
			const names = [...path.slice(again).map((p) => p.name), recipe.name];
			throw new DomainError('cycle', names.join(' > '));
		}
		path.push({ key, name: recipe.name });
		for (const { structure } of recipe.sections) {
			const use = nestedIn(structure);
			if (!use) continue;
			const child = library(use.design);
			if (!child) throw new DomainError('not-found', `${recipe.name} uses a design that is not kept`);
			visit(keyOf(use.design, use), child, use, ZERO);
		}
		path.pop();
		const node: DesignCount = {
			key,
			recipe,
			colourway: recipe.colourways.find((c) => c.id === choice.colourway) ?? recipe.colourways[0],
			quantity,
			grounded: quantity,
			alone: quantity
		};
		done.set(key, node);
		after.push(node);
	};
	const choice = { colourway: wanted.colourway, size: wanted.size ?? null };
	const rootKey = wanted.design === undefined ? ROOT : keyOf(wanted.design, choice);
	visit(rootKey, wanted.recipe, choice, wanted.quantity);
	return after.reverse();
}
