import { materialKey } from '../../core/materials/material-key.ts';
import type { RationalText } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';

/** What was counted of one thing, by the key of its line: what it took, and what was lost of that. */
interface Counted {
	readonly key: string;
	readonly took: RationalText;
	readonly lost: number;
}

/** What was counted after builds: of designs by themselves, and of whole jobs but for days that are no measure. */
export async function countedLines({ countBacks, jobCounts }: Repos): Promise<(readonly Counted[])[]> {
	const [designs, jobs] = await Promise.all([countBacks.lines(), jobCounts.last()]);
	const ofJobs = jobs.flatMap(
		({ counted }) =>
		counted.leftOut
			? []
			: [counted.materials.map(({ material, took, lost }) => ({ key: materialKey(material, 'always'), took, lost }))] // prettier-ignore
	);
	return [...designs, ...ofJobs];
}
