import { DomainError } from '../errors.ts';
import type { Colourway, Id, Recipe } from '../recipe/recipe.ts';
import { balloonsOf, needsOf } from '../structures/registry.ts';
import type { Need } from '../structures/structure.ts';
import { ONE, rational, ZERO, type Rational } from '../units/rational.ts';

/** Most balloons a bill may hold; more is a slip or a runaway nest. */
export const MOST_BALLOONS = 100_000;

/** A design as the explosion asks for it: which recipe, in which colourway, how many. */
export interface Wanted {
	/** Undefined for a working copy that nobody refers to. */
	readonly design?: string;
	readonly recipe: Recipe;
	readonly colourway: Id | null;
	readonly quantity: Rational;
}

/** A need with where it came from. */
export interface Exploded {
	readonly need: Need;
	readonly where: string;
	/** The design whose section it is: its slots have their names there. */
	readonly recipe: Recipe;
}

/** Finds the last kept version of a design used inside another. */
export type Library = (design: string) => Recipe | undefined;

interface Node {
	readonly key: string;
	readonly recipe: Recipe;
	readonly colourway: Colourway | undefined;
	quantity: Rational;
}

/**
 * Every need of a design and of all designs inside it.
 *
 * Designs are taken in topological order and quantities pushed down, so each design and colourway is visited
 * once however many paths lead to it.
 *
 * @throws {DomainError} `cycle` with the path, `not-found` for a design the library lacks, `too-many` over
 *   {@link MOST_BALLOONS}
 */
export function explode(wanted: Wanted, library: Library): Exploded[] {
	const order = topological(wanted, library);
	let balloons = ZERO;
	for (const node of order) {
		for (const section of node.recipe.sections) {
			const { structure } = section;
			balloons = balloons.add(node.quantity.mul(balloonsOf(structure)));
			if (structure.kind !== 'design') continue;
			const child = order.find((n) => n.key === keyOf(structure.design, structure.colourway))!;
			child.quantity = child.quantity.add(node.quantity.mul(rational(structure.quantity)));
		}
		if (balloons.compare(MOST_BALLOONS) > 0) {
			throw new DomainError(
				'too-many',
				`more than ${MOST_BALLOONS.toLocaleString('en')} balloons in ${wanted.recipe.name}`
			);
		}
	}
	return order.flatMap((node) =>
		node.recipe.sections.flatMap((section) =>
			needsOf(section.structure, node.colourway).map((need) => ({
				need: {
					...need,
					quantity: node.quantity.equals(ONE) ? need.quantity : need.quantity.mul(node.quantity)
				},
				where: node === order[0] ? section.name : `${node.recipe.name}, ${section.name}`,
				recipe: node.recipe
			}))
		)
	);
}

const keyOf = (design: string, colourway: Id | null) => `${design}/${colourway ?? ''}`;
const ROOT = '';

/** Users before what they use. Depth first; a design met again on its own path is a cycle. */
function topological(wanted: Wanted, library: Library): Node[] {
	const done = new Map<string, Node>();
	const after: Node[] = [];
	const path: { key: string; name: string }[] = [];
	const visit = (key: string, recipe: Recipe, colourway: Id | null, quantity: Rational) => {
		if (done.has(key)) return;
		const again = path.findIndex((p) => p.key.split('/')[0] === key.split('/')[0] && key !== ROOT);
		if (again >= 0) {
			const names = [...path.slice(again).map((p) => p.name), recipe.name];
			throw new DomainError('cycle', names.join(' > '));
		}
		path.push({ key, name: recipe.name });
		for (const { structure } of recipe.sections) {
			if (structure.kind !== 'design') continue;
			const child = library(structure.design);
			if (!child) throw new DomainError('not-found', `${recipe.name} uses a design that is not kept`);
			visit(keyOf(structure.design, structure.colourway), child, structure.colourway, ZERO);
		}
		path.pop();
		const node: Node = {
			key,
			recipe,
			colourway: recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0],
			quantity
		};
		done.set(key, node);
		after.push(node);
	};
	const rootKey = wanted.design === undefined ? ROOT : keyOf(wanted.design, wanted.colourway);
	visit(rootKey, wanted.recipe, wanted.colourway, wanted.quantity);
	return after.reverse();
}
