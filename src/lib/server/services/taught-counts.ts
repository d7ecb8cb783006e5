import { taughtMix, type SizeSeen, type SizeTaught } from '../../core/count-back/taught-mix.ts';
import { DomainError } from '../../core/errors.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/** What jobs taught of how many balloons a foot a design takes. */
export interface DesignTaught {
	readonly design: string;
	readonly name: string;
	readonly sizes: readonly SizeTaught[];
	/** The jobs it rests on, the newest first. */
	readonly jobs: readonly { readonly job: string; readonly day: string }[];
}

/**
 * Designs with garlands whose jobs were counted back, each against its last kept version: only jobs that were built from
 * that version, and from nothing else, tell of it.
 * @param only this design; nothing is all
 */
export async function taughtCounts(repos: Repos, { only }: { readonly only?: string } = {}): Promise<DesignTaught[]> {
	const [studio, all, shelf] = await Promise.all([loadStudio(repos), repos.jobFigures.alone(), repos.designs.shelf()]);
	const newest = new Map(shelf.map((r) => [r.id, r.versionId]));
	const nominals = new Map(studio.materials.flatMap((m) => (m.kind === 'latex-round' && m.nominal !== null ? [[m.id, m.nominal] as const] : [])));
	const told = all.filter((t) => (only === undefined || t.design === only) && t.version === newest.get(t.design));
	const found: DesignTaught[] = [];
	for (const { design, recipe } of await repos.designs.lastKeptOf([...new Set(told.map((t) => t.design))])) {
		const bySize = new Map<string, SizeSeen>();
		const own = told.filter((t) => t.design === design);
		for (const { job, material, reckoned, real, lost } of own) {
			const nominal = nominals.get(material);
			if (nominal === undefined) continue;
			const before = bySize.get(`${job} ${nominal}`) ?? { job, nominal, reckoned: 0, used: 0 };
			bySize.set(`${job} ${nominal}`, { ...before, reckoned: before.reckoned + reckoned / 1000, used: before.used + (real - lost) / 1000 });
		}
		const context = contextOf(studio, await loadLibrary(repos, recipe));
		const sizes = sizesOf(() => taughtMix(recipe, [...bySize.values()], context));
		if (sizes.length > 0) found.push({ design, name: recipe.name, sizes, jobs: [...new Map(own.map(({ job, day }) => [job, { job, day }])).values()] });
	}
	return found.toSorted((a, b) => a.name.localeCompare(b.name));
} // prettier-ignore

/** A design that cannot be counted teaches nothing. */
function sizesOf(work: () => SizeTaught[]): SizeTaught[] {
	try {
		return work();
	} catch (error) {
		if (error instanceof DomainError) return [];
		throw error;
	}
}
