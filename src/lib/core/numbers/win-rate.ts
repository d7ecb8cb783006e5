import jstat from 'jstat';

/** A quote that was answered: what it asked before tax, minor units, for so many feet of pieces, and whether it was a yes. */
export interface AnsweredQuote {
	readonly net: number;
	readonly feet: number;
	readonly yes: boolean;
}

/** Quotes of about one price a foot, and how many of them were a yes. */
export interface WinBand {
	/** Price a foot, minor units, both within. */
	readonly from: number;
	readonly to: number;
	readonly quotes: number;
	readonly won: number;
	/** Share won, and where it lies with nine chances in ten. 0 to 1. */
	readonly share: number;
	readonly low: number;
	readonly high: number;
}

/** Bands a price is told in at most, and quotes a band takes at least: fewer say nothing. House rules. */
const BANDS = 5;
const LEAST = 4;

/**
 * How many quotes were a yes by what they asked a foot: bands of about as many quotes each, none across one price. The share
 * of each is binomial, its bounds the quantiles of its posterior on a flat prior: beta(1 + won, 1 + lost), the textbook's.
 */
export function winBands(all: readonly AnsweredQuote[]): WinBand[] {
	const quotes = all
		.filter((q) => q.feet > 0 && q.net > 0)
		.map((q) => ({ price: q.net / q.feet, yes: q.yes }))
		.toSorted((a, b) => a.price - b.price);
	const bands = Math.max(1, Math.min(BANDS, Math.floor(quotes.length / LEAST)));
	const size = Math.ceil(quotes.length / bands);
	const found: WinBand[] = [];
	for (let at = 0; at < quotes.length;) {
		let end = Math.min(quotes.length, at + size);
		while (end < quotes.length && quotes[end]!.price === quotes[end - 1]!.price) end++;
		// What is left over by itself says nothing.
		if (quotes.length - end < LEAST / 2) end = quotes.length;
		const own = quotes.slice(at, end);
		const won = own.filter((q) => q.yes).length;
		const [a, b] = [1 + won, 1 + own.length - won];
		found.push({ from: own[0]!.price, to: own.at(-1)!.price, quotes: own.length, won, share: won / own.length, low: jstat.beta.inv(0.05, a, b), high: jstat.beta.inv(0.95, a, b) }); // prettier-ignore
		at = end;
	}
	return found;
}
