import { GONE, nameOf } from '../document/names.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { servedBy } from '../recipe/serving-lines.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { MadeStep } from './made-step.ts';

/** Kinds of steps at which a line that serves several things is met. */
export const MET = /^(row|piece|join|set up):/;

/** Says at each row, piece and section what line holds it too: it is counted once and met at each. */
export function shared(steps: readonly MadeStep[], recipe: Recipe, { materials }: Catalogue): MadeStep[] {
	const served = servedBy(recipe, (id) => nameOf(materials, id, `a line that is ${GONE.material}`));
	if (served.size === 0) return [...steps];
	return steps.map((step) => {
		const names = step.about === null || !MET.test(step.key) ? undefined : served.get(step.about);
		if (!names) return step;
		const also = `${names.join(' and ')} holds it too`;
		return { ...step, method: step.method === '' ? also : `${step.method}; ${also}` };
	});
}
