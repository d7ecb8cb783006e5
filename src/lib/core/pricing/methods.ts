import { rational, ZERO, type Rational } from '../units/rational.ts';

/** Ways a price comes from a cost. */
export const PRICE_METHODS = ['margin', 'markup'] as const;
export type PriceMethod = (typeof PRICE_METHODS)[number];

/** Why no price can be worked out. */
export type PriceRefusal = 'margin-too-high' | 'markup-too-low';

/** Payment fees: the share of the net price they take, and what they take besides. Minor units. */
export interface Fee {
	readonly share: Rational;
	readonly fixed: Rational;
}

/** A way of pricing: all that is known of it stands here. */
export interface MethodDefinition {
	/** On the screen and on the tape: `target margin`. */
	readonly called: string;
	/** Its per cent in a sentence: “The margin”. */
	readonly what: string;
	/** Most it can be, per cent, where that is what is wrong with it. */
	readonly most: number;
	/** Why no price comes of so much per cent, as a sentence; undefined where one does. */
	refused(value: Rational): string | undefined;
	/**
	 * The price before tax of what costs so much, minor units, exact.
	 * @param share 0.48 is 48 % @param feeOnTop whether fees are added where they are not in it anyway
	 */
	price(cost: Rational, share: Rational, fee: Fee, feeOnTop: boolean): Rational | PriceRefusal;
}

/** Most a markup is, per cent. House rule: more is a slip. */
const MOST_MARKUP = 10_000;
/** A margin that is not asked for just now may be anything a settings page can hold. */
const MOST = 1_000_000;

export const METHODS: { readonly [M in PriceMethod]: MethodDefinition } = {
	margin: {
		called: 'target margin',
		what: 'The margin',
		most: MOST,
		refused: (value) =>
			value.compare(100) >= 0
				? 'No price leaves a margin of 100 % or more. Type less than 100, or price by markup.'
				: undefined,
		price: (cost, share, fee) =>
			cost.equals(0) ? ZERO : (priceByMargin(cost, share, fee) ?? 'margin-too-high')
	},
	markup: {
		called: 'markup',
		what: 'The markup',
		most: MOST_MARKUP,
		refused: (value) =>
			value.compare(MOST_MARKUP) > 0
				? `A markup is at most ${MOST_MARKUP.toLocaleString('en-US')} %.`
				: undefined,
		price(cost, share, fee, feeOnTop) {
			if (share.compare(-1) < 0) return 'markup-too-low';
			return priceByMarkup(cost, share, feeOnTop ? fee : undefined) ?? 'margin-too-high';
		}
	}
};
/** For a list to choose from. */
export const METHOD_OPTIONS: readonly (readonly [PriceMethod, string])[] = PRICE_METHODS.map((m) => [
	m,
	METHODS[m].called
]);

/** `Target margin`: the label of its field. */
export const methodLabel = (method: PriceMethod): string => {
	const { called } = METHODS[method];
	return called.charAt(0).toUpperCase() + called.slice(1);
};

/**
 * Price by target margin: P = (C + fixed) / (1 − m − f).
 * @returns undefined where 1 − m − f is not above 0: no price reaches that margin
 */
export function priceByMargin(cost: Rational, margin: Rational, fee: Fee): Rational | undefined {
	const left = rational(1).sub(margin).sub(fee.share);
	return left.compare(0) > 0 ? cost.add(fee.fixed).div(left) : undefined;
}

/**
 * Price by markup: P = C (1 + k), with fees on top P = (C (1 + k) + fixed) / (1 − f).
 * @returns undefined where 1 − f is not above 0
 */
export function priceByMarkup(
	cost: Rational,
	markup: Rational,
	fee: Fee = { share: ZERO, fixed: ZERO }
): Rational | undefined {
	const left = rational(1).sub(fee.share);
	return left.compare(0) > 0 ? cost.mul(markup.add(1)).add(fee.fixed).div(left) : undefined;
}
