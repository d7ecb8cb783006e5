import type { Ground } from '../../core/document/ground.ts';
import { standingOn } from '../../core/recipe/on-ground.ts';
import { tally, type Tally } from '../../core/tally/tally.ts';
import type { Bench } from './bench.svelte.ts';

/** What is on the Bench, as it is where it stands on a ground. */
export function tallyThere(bench: Bench, ground: Ground): Tally {
	const there = standingOn(bench.shown, ground);
	return there === bench.shown
		? bench.tally
		: tally(there, bench.chosen.id, 1, bench.context, bench.inSize?.id ?? null);
}
