import { ONE, rational, type Rational } from '../units/rational.ts';
import { countingPack } from './counting-pack.ts';
import type { Material, Reuse } from './material.ts';

/** Materials never change: what a piece costs is worked out once for each. */
const kept = new WeakMap<Material, { readonly cost: Rational | undefined }>();

/**
 * What one use of one piece costs, in exact minor units: pack price over its count, or for a thing that
 * comes back its share, (price − resale) / expected uses + upkeep.
 */
export function unitCost(material: Material): Rational | undefined {
	const cached = kept.get(material);
	if (cached) return cached.cost;
	const cost = workOutCost(material);
	kept.set(material, { cost });
	return cost;
}

function workOutCost(material: Material): Rational | undefined {
	const pack = countingPack(material);
	if (!pack && material.average === undefined) return undefined;
	const piece =
		material.average === undefined ? rational(pack!.priceMinor, pack!.count) : rational(material.average);
	const { reuse } = material;
	if (!reuse) return piece;
	const { uses, left } = expectedUses(reuse);
	return piece.sub(left.mul(reuse.resaleMinor)).div(uses).add(reuse.upkeepMinor);
}

/** Exact powers of a share grow with the uses: past so many digits of them the picture stays the same. */
const FINE = 1_000_000_000;

/**
 * Uses a thing is good for where each time a share q of them never comes back: 1 + s + … + s^(n−1) = (1 − s^n) / (1 − s),
 * s = 1 − q, the mean of a geometric life cut off at n (textbook); and the chance s^n that it is there to be sold.
 */
export function expectedUses({ uses, loss = '0' }: Pick<Reuse, 'uses' | 'loss'>): {
	readonly uses: Rational;
	readonly left: Rational;
} {
	const lost = rational(loss);
	if (lost.equals(0)) return { uses: rational(uses), left: ONE };
	const left = rational(Math.round((1 - lost.valueOf()) ** uses * FINE), FINE);
	return { uses: ONE.sub(left).div(lost), left };
}
