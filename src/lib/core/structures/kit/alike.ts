import type { Place, Cluster } from '../../document/cluster.ts';
import { sameInside } from './filled.ts';
import { sizeKey } from '../../sizing/size.ts';

/** Neighbouring places of a cluster that are alike, and how many: most clusters are one run. */
export interface PlaceRun {
	readonly place: Place;
	/** Index of the first of them in the cluster. */
	readonly from: number;
	readonly count: number;
}

export function runsOf({ places }: Cluster): PlaceRun[] {
	const runs: { place: Place; from: number; count: number }[] = [];
	places.forEach((place, from) => {
		const last = runs.at(-1);
		if (last && samePlace(last.place, place)) last.count++;
		else runs.push({ place, from, count: 1 });
	});
	return runs;
}

export const samePlace = (a: Place, b: Place): boolean =>
	a.nominal === b.nominal &&
	a.or === b.or &&
	a.kind === b.kind &&
	a.slot === b.slot &&
	a.method === b.method &&
	a.material === b.material &&
	sameInside(a, b) &&
	(a.size === b.size || (a.size.kind === b.size.kind && sizeKey(a.size) === sizeKey(b.size)));
