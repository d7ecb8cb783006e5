import { countersOf } from '../../core/job/counters.ts';
import { DomainError } from '../../core/errors.ts';
import { planOf } from '../../core/plan/plan.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { workOfJob, type JobWork } from '../services/job.ts';
import { planPictures } from '../services/plan.ts';
import { sumsOf } from '../services/tally-sums.ts';
import { loadStudio } from '../services/studio.ts';

/** The steps of all pieces of a job as they are counted at the bench. No price is read here. @returns null where there is no such job */
export async function tallyPage(repos: Repos, { id }: { readonly id: string }) {
	const studio = await loadStudio(repos);
	const work = await workOfJob(repos, id, studio);
	if (!work) return null;
	const { row } = work;
	return {
		id,
		number: row.number,
		client: row.client,
		people: studio.settings.rates.people.map(({ id: own, name }) => ({ id: own, name })),
		pieces: work.items.map((item) => pieceOf(item, work)),
		...sumsOf(await repos.tallyMarks.of(id))
	};
}

/** A piece with its steps, those of designs inside it behind its own. */
function pieceOf({ id, recipe, colourway, quantity, size = null }: JobWork['items'][number], { context }: JobWork) {
	const hex = (colour: string) => context.catalogue.colours.get(colour)?.hex ?? [];
	const choice = { colourway, size, quantity };
	const parts = (() => {
		try {
			return planOf(recipe, choice, context);
		} catch (error) {
			if (error instanceof DomainError) return [];
			throw error;
		}
	})();
	const [front] = planPictures(tally(recipe, colourway, quantity, context, size), context);
	return {
		id,
		name: recipe.name,
		quantity,
		picture: front?.list ?? null,
		// What is inside is made before what it goes into.
		steps: parts.toReversed().flatMap((part) =>
			part.steps
				.filter((s) => !s.out)
				.map((step) => ({
					key: `${part.design ?? ''}/${step.id}`,
					of: part.design === undefined ? '' : `${part.quantity} × ${part.name}`,
					text: step.text,
					place: step.place,
					tool: step.tool,
					method: step.method,
					check: step.check,
					wait: step.wait,
					photo: step.photo,
					counters: countersOf(step).map((c) => ({ key: `${part.design ?? ''}/${c.key}`, text: c.text, target: c.target, hexes: c.colours.flatMap(hex), material: c.material }))
				}))
		)
	};
} // prettier-ignore
export type TallyPiece = ReturnType<typeof pieceOf>;
