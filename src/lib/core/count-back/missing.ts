import { needsOf } from '../structures/registry/count.ts';
import { rational } from '../units/rational.ts';
import { copiesOf } from '../recipe/copies.ts';
import { balloonKey, type BalloonNeed } from './count-lines.ts';
import { withPumps } from '../recipe/with-pumps.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import type { Recipe } from '../recipe/recipe.ts';

export type Pumps = readonly PumpProfile[];

interface Counted {
	count: number;
	readonly need: BalloonNeed;
}

/** Balloons of a design's own sections, by key. */
export function countsOf(recipe: Recipe): Map<string, Counted> {
	const counts = new Map<string, Counted>();
	for (const section of recipe.sections) {
		const copies = copiesOf(recipe, section);
		for (const need of needsOf(section.structure, recipe.colourways[0])) {
			if (need.what !== 'balloon') continue;
			const key = balloonKey(need);
			const sum = counts.get(key) ?? { count: 0, need };
			sum.count += need.quantity.valueOf() * copies;
			counts.set(key, sum);
		}
	}
	return counts;
}

/** What a structure needs is kept by its identity: a draft that changes is counted as a copy. */
export const countsNow = (draft: RecipeDraft, pumps: Pumps) =>
	countsOf(withPumps(structuredClone(draft) as Recipe, pumps));

/** How many more, or fewer, of each are wanted; what nobody wants at all is too many. */
export function missingOf(
	draft: RecipeDraft,
	wanted: ReadonlyMap<string, number>,
	pumps: Pumps
): ReadonlyMap<string, number> {
	const missing = new Map(wanted);
	for (const [key, { count }] of countsNow(draft, pumps)) missing.set(key, (wanted.get(key) ?? 0) - count);
	return missing;
}

/** Sum of how far each count is from what is wanted. */
export const distance = (missing: ReadonlyMap<string, number>): number =>
	[...missing.values()].reduce((a, m) => a + Math.abs(m), 0);

/** What a balloon is counted under. */
export function keyOfPlace(
	draft: RecipeDraft,
	place: Omit<BalloonNeed, 'what' | 'slot' | 'colour' | 'method' | 'quantity'>,
	slot: string
): string {
	const colour = draft.colourways[0]!.fills[slot] ?? null;
	const { kind, nominal, size, material } = place;
	return balloonKey({
		what: 'balloon',
		kind,
		nominal,
		size,
		material,
		slot,
		colour,
		method: 'hole',
		quantity: rational(1)
	});
}
