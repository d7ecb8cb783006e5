import type { Id } from '../../document/id.ts';
import type { Section } from '../../recipe/recipe.ts';
import { um } from '../../units/length.ts';
import { ofKind } from '../kinds.ts';
import type { Organic } from './document.ts';
import { packJob, packKey } from './organic.ts';
import type { Packing } from './pack-job.ts';
import { lengthOfRun } from './path.ts';

/**
 * Runs that are counted by packing and do not hold what packing came to.
 * @param sections with their paths and pumps worked in, as they stand in the recipe: in no size, nothing only said
 * @param find what was packed, by the key of its job
 * @returns what each takes: balloons by size, µm of path they were packed on
 */
export const packingsToTake = (
	sections: readonly Section[],
	find: (key: string) => Packing | undefined
): { readonly section: Id; readonly packed: NonNullable<Organic['packed']> }[] =>
	ofKind(sections, 'run').flatMap(({ section: { id }, structure: run }) => {
		if (run.organic.by !== 'packed') return [];
		const job = packJob(run, null);
		const found = job && find(job.key);
		const key = packKey(run);
		if (!found || run.organic.packed?.key === key) return [];
		const length = um(Math.round(lengthOfRun(run) * 1000));
		return [{ section: id, packed: { key, length, counts: [...found.counts] } }];
	});
