import { rational, type Rational } from '../units/rational.ts';
import type { Material, Pack } from './material.ts';

/**
 * The pack the owner would open: the lowest price a piece among packs with a price, ties to the earlier.
 * @returns undefined where no pack has a price: the cost is unknown, not 0
 */
export function cheapestPack(material: Material): (Pack & { priceMinor: number }) | undefined {
	let best: (Pack & { priceMinor: number }) | undefined;
	for (const pack of material.packs) {
		if (pack.priceMinor === null) continue;
		const priced = { ...pack, priceMinor: pack.priceMinor };
		if (!best || priced.priceMinor * best.count < best.priceMinor * priced.count) best = priced;
	}
	return best;
}

/**
 * What one use of one piece costs, in exact minor units: pack price over its count, or for a thing that
 * comes back its share, (price − resale) / expected uses + upkeep.
 */
export function unitCost(material: Material): Rational | undefined {
	const pack = cheapestPack(material);
	if (!pack) return undefined;
	const piece = rational(pack.priceMinor, pack.count);
	const { reuse } = material;
	if (!reuse) return piece;
	return piece.sub(reuse.resaleMinor).div(reuse.uses).add(reuse.upkeepMinor);
}
