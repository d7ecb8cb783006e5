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

/** What is to be there by a day, all that is wanted until then together, and what can be bought for it. */
export interface Ask {
	readonly material: Id;
	readonly by: string;
	readonly pieces: number;
	/** What is here by that day, as places in the offers. */
	readonly offers: readonly number[];
}

/** The asks of a problem, the soonest first: a purchase meets them all or something is short. */
export function asksOf({ today, wants, offers, sellers }: BuyingProblem): Ask[] {
	const at = new Map(sellers.map((s) => [s.id, arrives(today, s)]));
	return wants
		.map(({ material, by }): Ask => ({
			material,
			by,
			pieces: wants.filter((w) => w.material === material && w.by <= by).reduce((a, w) => a + w.pieces, 0),
			offers: offers.flatMap((o, i) => (o.material === material && at.get(o.supplier)! <= by ? [i] : []))
		}))
		.sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
} // prettier-ignore

/** Whether purchases have everything there by its day. */
export function covers(problem: BuyingProblem, purchases: readonly Purchase[]): boolean {
	const packs = new Map(purchases.map((p) => [p.pack, p.packs]));
	const held = ({ pack, count }: Offer) => (packs.get(pack) ?? 0) * count;
	return asksOf(problem).every((ask) => ask.offers.reduce((a, i) => a + held(problem.offers[i]!), 0) >= ask.pieces);
} // prettier-ignore
