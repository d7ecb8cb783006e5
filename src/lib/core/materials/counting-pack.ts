import type { Material, Pack, PriceBreak } from './material.ts';

/** Which of several prices counts: the lowest a piece, that of the pack usually bought, the one paid last, or what is on the shelf cost on average. */
export const PACK_PRICES = ['cheapest', 'usual', 'last', 'average'] as const;
export type PackPrice = (typeof PACK_PRICES)[number];

export type PricedPack = Pack & { readonly priceMinor: number };
const isPriced = (pack: Pack): pack is PricedPack => pack.priceMinor !== null;

/**
 * The pack whose price counts: the one that was chosen by the business, else the lowest price a piece, ties to the earlier.
 * Packs not sold any more count for nothing.
 * @returns undefined where no pack has a price: the cost is unknown, not 0
 */
export function countingPack({ packs, counts }: Pick<Material, 'packs' | 'counts'>): PricedPack | undefined {
	let best: PricedPack | undefined;
	for (const pack of packs) {
		if (!isPriced(pack) || pack.ended) continue;
		if (pack.id === counts) return pack;
		if (!best || pack.priceMinor * best.count < best.priceMinor * pack.count) best = pack;
	}
	return best;
}

/** What so many packs of a kind come to, minor units: at the price of the largest break that they reach. */
export function costOfPacks({ priceMinor, breaks = [] }: { readonly priceMinor: number; readonly breaks?: readonly PriceBreak[] | undefined }, packs: number): number {
	const reached = breaks.findLast((b) => packs >= b.from);
	return packs * (reached?.priceMinor ?? priceMinor);
} // prettier-ignore

/**
 * Materials with the price that counts today: sales that are over are packs not sold any more; the usual pack, or the one
 * of the latest price, goes before the cheapest where the business says so and there is one.
 * @param day today, `YYYY-MM-DD`
 */
export function withCounting(materials: readonly Material[], price: PackPrice | undefined, day: string): readonly Material[] {
	return materials.map((material) => {
		const over = material.packs.some((p) => p.until !== undefined && p.until < day && !p.ended);
		const packs = over
			? material.packs.map((p) => (p.until !== undefined && p.until < day ? { ...p, ended: true as const } : p))
			: material.packs;
		const chosen = chosenOf(packs.filter((p) => isPriced(p) && !p.ended), price);
		if (!over && chosen === undefined) return material;
		return { ...material, packs, ...(chosen && { counts: chosen.id }) };
	});
} // prettier-ignore

function chosenOf(packs: readonly Pack[], price: PackPrice = 'cheapest'): Pack | undefined {
	if (price === 'cheapest' || price === 'average') return undefined;
	if (price === 'usual') return packs.find((p) => p.usual);
	return packs
		.filter((p) => p.since !== undefined)
		.reduce<Pack | undefined>((a, p) => (!a || p.since! > a.since! ? p : a), undefined);
}
