import type { BuyingProblem, Offer, Purchase } from './buying.ts';
import { asksOf, priceOf } from './cost-of.ts';

/** Fewest packs of an offer that hold so many pieces, or more where more of them cost less. */
function packsFor(offer: Offer, pieces: number): number {
	const least = Math.ceil(pieces / offer.count);
	const breaks = offer.prices.map((p) => p.from).filter((from) => from > least);
	return [least, ...breaks].reduce((best, n) => (priceOf(offer, n) < priceOf(offer, best) ? n : best));
}

/**
 * Buys each material where it is cheapest by itself, the soonest day first: a plan that always holds, and what the solver
 * has to better. House rule.
 */
export function byRule(problem: BuyingProblem): Purchase[] {
	const bought = new Map<string, number>();
	for (const { offers, pieces } of asksOf(problem)) {
		const own = offers.map((i) => problem.offers[i]!);
		const short = pieces - own.reduce((a, o) => a + (bought.get(o.pack) ?? 0) * o.count, 0);
		if (short <= 0 || own.length === 0) continue;
		const more = (o: Offer) => {
			const before = bought.get(o.pack) ?? 0;
			const packs = packsFor(o, before * o.count + short);
			return { offer: o, packs, cost: priceOf(o, packs) - priceOf(o, before) };
		};
		const { offer, packs } = own.map(more).reduce((best, o) => (o.cost < best.cost ? o : best));
		bought.set(offer.pack, packs);
	}
	return [...bought].map(([pack, packs]) => ({ pack, packs }));
}
