import { rational, type RationalText } from '../units/rational.ts';
import type { Move } from './ledger.ts';
import { COUNTED_BUILD } from './losses.ts';

/** What a build took of a material, by a count after it. */
export interface Took {
	readonly material: string;
	readonly took: RationalText;
	/** Of what it took. */
	readonly lost: number;
}

/**
 * What a count after a build writes into the ledger: what was used, and what was lost of it, by material.
 * @param id of the count @param day when it was counted, `YYYY-MM-DD` @param note what was built
 */
export function tookOf(
	all: readonly Took[],
	{ id, day, note }: { readonly id: string; readonly day: string; readonly note: string }
): ReadonlyMap<string, readonly Move[]> {
	const sums = new Map<string, { took: number; lost: number }>();
	for (const { material, took, lost } of all) {
		const before = sums.get(material) ?? { took: 0, lost: 0 };
		sums.set(material, { took: before.took + rational(took).valueOf(), lost: before.lost + lost });
	}
	const move = (material: string, kind: 'used' | 'lost', pieces: number): Move[] => {
		const thousandths = -Math.round(pieces * 1000);
		return thousandths === 0 ? [] : [{ id: `${COUNTED_BUILD}${id}/${kind}/${material}`, day, kind, thousandths, costMinor: null, note }];
	};
	return new Map(
		[...sums].map(([material, { took, lost }]) => [material, [...move(material, 'used', Math.max(0, took - lost)), ...move(material, 'lost', lost)]])
	);
} // prettier-ignore
