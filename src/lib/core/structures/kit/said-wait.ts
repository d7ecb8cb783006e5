import { rulesFor, type CountOf } from '../../document/rule.ts';
import type { StepContext } from '../../plan/made-step.ts';
import type { Recipe } from '../../recipe/recipe.ts';

/**
 * How long something takes by what the Stockroom says of the materials its rules take, seconds: the slowest of them.
 * @param of what is counted of it @param usual where nothing is said
 */
export function saidWait(
	{ recipe, context }: { readonly recipe: Pick<Recipe, 'rules'>; readonly context: StepContext }, // prettier-ignore
	{ of, fact, usual }: { readonly of: readonly CountOf[]; readonly fact: 'setMinutes' | 'dryMinutes'; readonly usual: number } // prettier-ignore
): number {
	const said = rulesFor(recipe.rules, context.rules).flatMap((rule) => {
		const own = of.includes(rule.of) ? context.catalogue.materials.get(rule.material ?? '') : undefined;
		return own?.facts?.[fact] ?? [];
	});
	return said.length > 0 ? Math.max(...said) * 60 : usual;
}
