import { ONE, rational, rationalText, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import { byCard, type Basis, type CardRate } from './basis.ts';

/** Ways a price comes from what a piece takes: of a studio, a design, a quote or a line. */
export const PRICE_METHODS = ['margin', 'markup', 'factor', 'card', 'wage'] as const;
export type PriceMethod = (typeof PRICE_METHODS)[number];
/** Those of one line: its price may be typed. */
export const LINE_METHODS = [...PRICE_METHODS, 'typed'] as const;
export type LineMethod = (typeof LINE_METHODS)[number];

/** Why no price can be worked out. */
export type PriceRefusal = 'margin-too-high' | 'markup-too-low' | 'no-card';

/** Payment fees: the share of the net price they take, and what they take besides. Minor units. */
export interface Fee {
	readonly share: Rational;
	readonly fixed: Rational;
}

/** What methods read of a studio besides their own figure. */
export interface MethodTerms {
	/** Whether fees are added where they are not in it anyway. */
	readonly feeOnTop: boolean;
	/** What an hour is charged at by factor, minor units. */
	readonly chargePerHour: number;
	readonly card: readonly CardRate[];
}

/** A way of pricing: all that is known of it stands here. */
export interface MethodDefinition {
	/** On the screen and on the tape: `target margin`. */
	readonly called: string;
	/** Its figure in a sentence: “The margin”. */
	readonly what: string;
	/** What its figure is: per cent, so many times, or money in minor units. */
	readonly figure: 'per cent' | 'times' | 'money';
	/** Behind its figure: `%`, `× materials`, `an hour`. */
	readonly unit: string;
	/** Most it can be, in its unit, where that is what is wrong with it. */
	readonly most: number;
	/** Why no price comes of such a figure, as a sentence; undefined where one does. */
	refused(value: Rational): string | undefined;
	/** The price before tax of a piece, minor units, exact. @param figure as it is kept: 48 is 48 %, 3 three times, 3500 is 35.00 */
	price(basis: Basis, figure: Rational, fee: Fee, terms: MethodTerms): Rational | PriceRefusal;
}

/** Most a markup is, per cent. House rule: more is a slip. */
const MOST_MARKUP = 10_000;
/** A figure that is not asked for just now may be anything a settings page can hold. */
const MOST = 1_000_000;
const fine = () => undefined;
const withFees = (net: Rational, fee: Fee): Rational | PriceRefusal => {
	const left = ONE.sub(fee.share);
	return left.compare(0) > 0 ? net.add(fee.fixed).div(left) : 'margin-too-high';
};

export const METHODS: { readonly [M in LineMethod]: MethodDefinition } = {
	margin: {
		called: 'target margin',
		what: 'The margin',
		figure: 'per cent',
		unit: '%',
		most: MOST,
		refused: (value) =>
			value.compare(100) >= 0
				? 'No price leaves a margin of 100 % or more. Type less than 100, or price by markup.'
				: undefined,
		price: ({ cost }, figure, fee) =>
			cost.equals(0) ? ZERO : (priceByMargin(cost, figure.div(100), fee) ?? 'margin-too-high')
	},
	markup: {
		called: 'markup',
		what: 'The markup',
		figure: 'per cent',
		unit: '%',
		most: MOST_MARKUP,
		refused: (value) =>
			value.compare(MOST_MARKUP) > 0
				? `A markup is at most ${MOST_MARKUP.toLocaleString('en-US')} %.`
				: undefined,
		price({ cost }, figure, fee, { feeOnTop }) {
			if (figure.compare(-100) < 0) return 'markup-too-low';
			return priceByMarkup(cost, figure.div(100), feeOnTop ? fee : undefined) ?? 'margin-too-high';
		}
	},
	factor: {
		called: 'materials and hours',
		what: 'The factor on materials',
		figure: 'times',
		unit: '× materials',
		most: 100,
		refused: fine,
		price: ({ materials, hours }, figure, _, { chargePerHour }) =>
			materials.mul(figure).add(hours.mul(chargePerHour))
	},
	card: {
		called: 'rate card',
		what: 'The share of the rate card',
		figure: 'per cent',
		unit: '% of the card',
		most: 1000,
		refused: fine,
		price(basis, figure, _, { card }) {
			// The card is of pieces: what a job takes around them is in it.
			if (basis.kind === null) return ZERO;
			const said = byCard(basis, card);
			return said === undefined ? 'no-card' : rational(Math.round(said)).mul(figure).div(100);
		}
	},
	wage: {
		called: 'floor for your own hour',
		what: 'What your own hour earns',
		figure: 'money',
		unit: 'an hour',
		most: 10_000,
		refused: fine,
		price: ({ cost, ownHours, ownCost }, figure, fee) =>
			cost.equals(0) ? ZERO : withFees(cost.sub(ownCost).add(ownHours.mul(figure)), fee)
	},
	typed: {
		called: 'typed price',
		what: 'The price',
		figure: 'money',
		unit: '',
		most: 10_000_000,
		refused: fine,
		price: (_, figure) => figure
	}
};

/** The figure of a method as it is typed, from what is kept; and the other way round. */
export const figureText = (method: LineMethod, kept: RationalText): RationalText =>
	METHODS[method].figure === 'money' ? rationalText(rational(kept).div(100)) : kept;
export const figureKept = (method: LineMethod, typed: Rational): RationalText =>
	rationalText(METHODS[method].figure === 'money' ? rational(Math.round(typed.mul(100).valueOf())) : typed);

/** For a list to choose from. */
export const METHOD_OPTIONS: readonly (readonly [PriceMethod, string])[] = PRICE_METHODS.map((m) => [
	m,
	METHODS[m].called
]);

/** The same for one line. */
export const LINE_METHOD_OPTIONS: readonly (readonly [LineMethod, string])[] = LINE_METHODS.map((m) => [
	m,
	METHODS[m].called
]);

/** `Target margin`: the label of its field. */
export const methodLabel = (method: LineMethod): string => {
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
