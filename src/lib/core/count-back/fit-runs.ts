import { estimateUsed } from '../structures/run/organic.ts';
import { layRun } from '../structures/run/lay.ts';
import { withClusters } from '../structures/run/open.ts';
import { splitCount } from '../structures/run/split-count.ts';
import { copiesOf } from '../recipe/copies.ts';
import { fitMix } from './fit-mix.ts';
import { distance, keyOfPlace, missingOf, type Pumps } from './missing.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Mutable } from '../document/mutable.ts';
import { MOST_ON_PATH } from '../document/limits.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import type { Run } from '../structures/run/document.ts';

type Runs = readonly { readonly section: Mutable<Section>; readonly structure: Mutable<Run> }[];

/** Clusters along a path become as many as were counted, where that brings the counts nearer. */
export function fitClusters(
	draft: RecipeDraft,
	runs: Runs,
	wanted: ReadonlyMap<string, number>,
	pumps: Pumps
) {
	for (const { section, structure } of runs) {
		const missing = missingOf(draft, wanted, pumps);
		const run = structuredClone(structure) as Run;
		const laid = layRun(run);
		const each = laid.reduce((a, c) => a + c.cluster.places.length, 0) / (laid.length || 1);
		const off =
			[...missing.values()].reduce((a, m) => a + m, 0) / copiesOf(draft as Recipe, section as Section);
		const clusters = laid.length + Math.round(off / each);
		if (laid.length === 0 || clusters === laid.length || clusters < 1 || clusters > MOST_ON_PATH) continue;
		replace(structure, withClusters(run, clusters));
		if (distance(missingOf(draft, wanted, pumps)) >= distance(missing)) replace(structure, run);
	}
}

function replace(structure: Mutable<Run>, by: Run) {
	for (const key of Object.keys(structure)) delete (structure as Record<string, unknown>)[key];
	Object.assign(structure, structuredClone(by));
}

/** Mixes along a path learn from what was counted, where the rest of the design does not take the same balloons. */
export function fitMixes(draft: RecipeDraft, runs: Runs, wanted: ReadonlyMap<string, number>, pumps: Pumps) {
	const missing = missingOf(draft, wanted, pumps);
	if (distance(missing) === 0) return;
	for (const { section, structure } of runs) {
		if (structure.mix.length === 0) continue;
		const run = structuredClone(structure) as Run;
		const copies = copiesOf(draft as Recipe, section as Section);
		const { counts } = estimateUsed(run);
		const fitted = fitMix(run, (part, slot) => {
			const key = keyOfPlace(draft, { ...part, material: null }, slot);
			if (!wanted.has(key)) return undefined;
			const at = part.colours.findIndex((c) => c.slot === slot);
			const parts = part.colours.map((c) => c.parts);
			// What rows, infill and other sections take of it stays with them.
			return splitCount(counts?.[run.mix.indexOf(part)] ?? 0, parts)[at]! + (missing.get(key) ?? 0) / copies;
		});
		if (fitted) Object.assign(structure, fitted);
	}
}
