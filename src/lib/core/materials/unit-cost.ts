import { ONE, rational, type Rational } from '../units/rational.ts';
import type { Material, Pack, Reuse } from './material.ts';

/**
 * The pack the owner would open: the lowest price a piece among packs with a price, ties to the earlier.
 * @returns undefined where no pack has a price: the cost is unknown, not 0
 */
export function cheapestPack(material: Material): PricedPack | undefined {
	let best: PricedPack | undefined;
	for (const pack of material.packs) {
		if (!isPriced(pack)) continue;
		if (!best || pack.priceMinor * best.count < best.priceMinor * pack.count) best = pack;
	}
	return best;
}

type PricedPack = Pack & { readonly priceMinor: number };
const isPriced = (pack: Pack): pack is PricedPack => pack.priceMinor !== null;

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
	const pack = cheapestPack(material);
	if (!pack) return undefined;
	const piece = rational(pack.priceMinor, pack.count);
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
