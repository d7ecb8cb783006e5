import type { Id } from '../document/id.ts';
import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import type { BuyingCost, BuyingProblem, Offer, Purchase, Seller, Want } from './buying.ts';

/** What so many packs cost, by the break they reach. An offer of no known price costs nothing here. */
export const priceOf = ({ prices }: Pick<Offer, 'prices'>, packs: number): number =>
	packs === 0 ? 0 : packs * (prices.findLast((p) => packs >= p.from)?.minor ?? 0);

/** What a piece costs at least, minor units, by material: at the best break of its cheapest pack. */
export function cheapestPiece(offers: readonly Offer[]): ReadonlyMap<Id, number> {
	const least = new Map<Id, number>();
	for (const { material, count, prices } of offers)
		for (const { minor } of prices) least.set(material, Math.min(least.get(material) ?? Infinity, minor / count));
	return least;
} // prettier-ignore

/** The day an order of today is at the door. */
export const arrives = (today: string, { lead }: Pick<Seller, 'lead'>): string =>
	dayOfNumber(dayNumber(today) + lead);

/** What a plan comes to: goods by their breaks, sending once a supplier, what is left over. */
export function costOf({ wants, offers, sellers, leftover }: BuyingProblem, purchases: readonly Purchase[]): BuyingCost {
	const byPack = new Map(offers.map((o) => [o.pack, o]));
	const spent = new Map<Id, number>();
	const bought = new Map<Id, number>();
	for (const { pack, packs } of purchases) {
		const offer = byPack.get(pack)!;
		if (packs === 0) continue;
		spent.set(offer.supplier, (spent.get(offer.supplier) ?? 0) + priceOf(offer, packs));
		bought.set(offer.material, (bought.get(offer.material) ?? 0) + packs * offer.count);
	}
	const goods = [...spent.values()].reduce((a, b) => a + b, 0);
	const shipping = sellers.reduce((a, s) => a + (spent.has(s.id) && !(s.freeFrom !== null && spent.get(s.id)! >= s.freeFrom) ? s.shipping : 0), 0);
	const least = cheapestPiece(offers);
	const wanted = totals(wants);
	let left = 0;
	for (const [material, pieces] of bought) left += leftover * (least.get(material) ?? 0) * Math.max(0, pieces - (wanted.get(material) ?? 0));
	return { goods, shipping, left, net: goods + shipping - left };
} // prettier-ignore

/** Pieces wanted of each material in all. */
export function totals(wants: readonly Want[]): ReadonlyMap<Id, number> {
	const found = new Map<Id, number>();
	for (const { material, pieces } of wants) found.set(material, (found.get(material) ?? 0) + pieces);
	return found;
}

/** Whether purchases have everything there by its day. */
export function covers({ today, wants, offers, sellers }: BuyingProblem, purchases: readonly Purchase[]): boolean {
	const packs = new Map(purchases.map((p) => [p.pack, p.packs]));
	const at = new Map(sellers.map((s) => [s.id, arrives(today, s)]));
	return wants.every((want) => {
		const asked = wants.filter((w) => w.material === want.material && w.by <= want.by).reduce((a, w) => a + w.pieces, 0);
		const there = offers.filter((o) => o.material === want.material && at.get(o.supplier)! <= want.by).reduce((a, o) => a + (packs.get(o.pack) ?? 0) * o.count, 0);
		return there >= asked;
	});
} // prettier-ignore
