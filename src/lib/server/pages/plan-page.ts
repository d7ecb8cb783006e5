import { partsOf } from '../../core/structures/registry/refs.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, headOf, type DesignQuery } from '../services/design-query.ts';
import { listsOf, planPictures, workOutPlan } from '../services/plan.ts';

/** The plan as the page shows it. */
export async function planPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { design, context } = found;
	const plan = workOutPlan(found);
	return {
		...headOf(found),
		parts: plan.parts,
		clock: plan.clock,
		people: plan.people,
		seconds: plan.parts.reduce((a, p) => a + p.seconds, 0),
		balloons: plan.worked.bill.balloons,
		...listsOf(plan.worked, context),
		cautions: plan.cautions,
		refused: plan.trouble,
		pictures: planPictures(plan.worked, context),
		photos: await repos.photos.list(design.id),
		subjects: subjectsOf(design.recipe)
	};
}

/** What a step of her own can be about. */
function subjectsOf({ sections }: Recipe): { id: string; name: string }[] {
	return sections.flatMap(({ id, name, structure }) => [
		{ id, name },
		...partsOf(structure, name)
			.filter((p) => p.served)
			.map((p, i) => ({ id: p.id, name: p.name ?? `${name}, row ${i + 1}` }))
	]);
}
