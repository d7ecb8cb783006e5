import { rational, type Rational } from '../units/rational.ts';
import type { Material, Pack } from './material.ts';

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
	return piece.sub(reuse.resaleMinor).div(reuse.uses).add(reuse.upkeepMinor);
}
