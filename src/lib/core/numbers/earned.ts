/** What was charged before tax, and what it cost as reckoned and as it came to, payments' share in it. Minor units. */
export interface Sums {
	readonly net: number;
	readonly reckoned: number;
	readonly real: number;
}

/** Per cent of what was charged that is left; null where nothing was charged. */
export const marginOf = (net: number, cost: number): number | null =>
	net > 0 ? ((net - cost) / net) * 100 : null;

/** What an hour of the owner earned: what is left, with what her hours were reckoned at. Minor units; null without hours. */
export const hourOf = ({ net, real }: Pick<Sums, 'net' | 'real'>, hers: { readonly minutes: number; readonly minor: number }): number | null =>
	hers.minutes > 0 ? ((net - real + hers.minor) / hers.minutes) * 60 : null; // prettier-ignore

/** A design as it sold. */
export interface SoldDesign extends Sums {
	readonly design: string;
	readonly name: string;
	readonly jobs: number;
	readonly pieces: number;
}

/** A design that is better not sold as it is, and why. */
export interface NotWorthIt {
	readonly design: string;
	readonly name: string;
	/** `loses`: it costs more than it brings. `below`: it keeps less than half of what the studio wants to. */
	readonly why: 'loses' | 'below';
	readonly margin: number;
	/** What each would have to be charged, before tax, to keep what the studio wants to. Minor units. */
	readonly price: number;
	readonly charged: number;
}

/** One job may be a bad day. House rule. */
const ENOUGH_JOBS = 2;

/**
 * Designs that are better not sold as they are, the worst first: those that lost money, or kept less than half of what the
 * studio wants to keep, over two jobs and more.
 * @param wanted margin the studio wants, per cent, under 100
 */
export function notWorthIt(designs: readonly SoldDesign[], wanted: number): NotWorthIt[] {
	return designs
		.flatMap(({ design, name, jobs, pieces, net, real }): NotWorthIt[] => {
			const margin = marginOf(net, real);
			if (margin === null || jobs < ENOUGH_JOBS || pieces === 0 || margin >= wanted / 2) return [];
			const price = Math.ceil(real / pieces / (1 - wanted / 100));
			return [{ design, name, why: margin < 0 ? 'loses' : 'below', margin, price, charged: Math.round(net / pieces) }]; // prettier-ignore
		})
		.toSorted((a, b) => a.margin - b.margin);
}
