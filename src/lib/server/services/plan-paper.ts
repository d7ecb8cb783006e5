import { formatHours } from '../../core/labour/standards.ts';
import type { PlanPaper } from '../pdf/plan.ts';
import type { Repos } from '../repos/index.ts';
import type { LoadedDesign } from './design-query.ts';
import { listsOf, planPictures, workOutPlan } from './plan.ts';

/** Everything the printed plan shows. */
export async function planPaper(repos: Repos, asked: LoadedDesign, now: Date): Promise<PlanPaper> {
	const { design, studio, context, colourway, size, quantity } = asked;
	const plan = workOutPlan(asked);
	const { bill } = plan.worked;
	const own = await repos.photos.list(design.id);
	const cover = own.find((p) => p.cover)?.id ?? null;
	const wanted = new Set([cover, ...plan.parts.flatMap((p) => p.steps.map((s) => s.photo))]);
	const photos = new Map<string, Uint8Array>();
	for (const id of wanted) {
		const found = id === null ? undefined : await repos.photos.bytes(id);
		if (found) photos.set(id!, found.bytes);
	}
	const seconds = plan.parts.reduce((a, p) => a + p.seconds, 0);
	return {
		business: studio.settings.business.name,
		title: `${quantity > 1 ? `${quantity} × ` : ''}${design.recipe.name}`,
		about: [
			colourway.name,
			size?.name,
			`${bill.balloons} balloons and ${bill.spares} spares`,
			`${formatHours(seconds)} h of work`
		]
			.filter(Boolean)
			.join(' · '),
		parts: plan.parts,
		pictures: planPictures(plan.worked, context),
		...listsOf(plan.worked, context),
		cautions: plan.cautions,
		photos,
		cover,
		made: now
	};
}
