import { GROUNDS, type Ground } from '../document/ground.ts';
import { groundsOf, onGround } from '../structures/registry/variant.ts';
import type { Recipe } from './recipe.ts';

/** Grounds on which something of a design stands otherwise than usual, in their order. */
export const groundsIn = ({ sections }: Pick<Recipe, 'sections'>): readonly Ground[] => {
	const said = new Set(sections.flatMap(({ structure }) => groundsOf(structure)));
	return GROUNDS.filter((g) => said.has(g));
};

/** The same for the same, so that what was worked out for it is found again. */
const made = new WeakMap<Recipe, Map<Ground, Recipe>>();

/** A design as it stands on a ground: with the bases said for it; itself where none are. */
export function standingOn(recipe: Recipe, ground: Ground | undefined): Recipe {
	if (ground === undefined || !groundsIn(recipe).includes(ground)) return recipe;
	const before = made.get(recipe) ?? new Map<Ground, Recipe>();
	made.set(recipe, before);
	const known = before.get(ground);
	if (known) return known;
	const sections = recipe.sections.map((s) => ({ ...s, structure: onGround(s.structure, ground) }));
	const next = { ...recipe, sections };
	before.set(ground, next);
	return next;
}
