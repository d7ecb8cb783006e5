import { halfAwayFromZero } from '../money/half-away-from-zero.ts';
import { money, type Money } from '../money/money.ts';
import { taxesOf, type TaxPart } from '../pricing/taxes.ts';
import { rational } from '../units/rational.ts';
import { NOTHING_CHOSEN, type ClientChoice } from './choices.ts';
import type { FrozenLine, FrozenOffer, FrozenQuote } from './frozen.ts';

/** A line as it was chosen, with what it comes to. */
export interface ChosenLine {
	readonly line: FrozenLine;
	readonly at: number;
	readonly amount: Money;
}

/** A frozen quote as it was chosen: lines + delivery − discount = said, and said (+ tax on top) = total. */
export interface ChosenQuote {
	readonly lines: readonly ChosenLine[];
	readonly delivery: Money;
	readonly discount: Money;
	readonly subtotal: Money;
	readonly net: Money;
	readonly tax: Money;
	/** The tax by its rates; one where every line stands under the usual one. */
	readonly taxes: readonly TaxPart[];
	readonly total: Money;
	readonly deposit: Money;
}

/** Why a choice is none, as a sentence for who chose. */
export type NotChosen = { readonly refused: string };

/** The offer of the level that was chosen; of one without levels it is that one. */
const offerOf = (offers: readonly FrozenOffer[], level: string | null): FrozenOffer | undefined =>
	offers.find((o) => o.level === level);

/** Whether the client has to choose a level first. */
export const isLevelOpen = ({ offers = [] }: FrozenQuote, { level }: Pick<ClientChoice, 'level'>): boolean =>
	offers.length > 1 && !offers.some((o) => o.level === level);

/**
 * What a choice comes to. Every part was worked out when the quote was sent: a choice only adds them up.
 * @returns a sentence where it is no choice of this quote
 */
export function chosenOf(frozen: FrozenQuote, choice: ClientChoice): ChosenQuote | NotChosen {
	const { offers } = frozen;
	if (!offers) {
		if (choice.level !== null || choice.ticked.length > 0 || Object.keys(choice.picks).length > 0)
			return { refused: 'There is nothing to choose on this offer.' };
		return plainOf(frozen);
	}
	const offer = offerOf(offers, choice.level);
	if (!offer)
		return {
			refused:
				offers.length > 1
					? `Choose one of ${offers.map((o) => o.level).join(', ')} first.`
					: 'There is one level on this offer: nothing is to be chosen there.'
		};
	const amounts = new Map(offer.amounts);
	const others = new Map(offer.others.map((o) => [o.at, o]));
	for (const at of new Set(choice.ticked)) {
		const other = others.get(at);
		if (!other || other.group !== null) return { refused: 'One of the extras ticked is not on this offer.' };
		amounts.set(at, other.adds);
	}
	for (const [group, at] of Object.entries(choice.picks)) {
		const first = offer.firsts.find((f) => f.group === group)?.at;
		if (first === undefined) return { refused: 'One of the choices made is not on this offer.' };
		if (at === first) continue;
		const other = others.get(at);
		if (other?.group !== group) return { refused: `What was picked for “${group}” is not on this offer.` };
		const before = amounts.get(first)!;
		amounts.delete(first);
		amounts.set(at, money(before.minor + other.adds.minor, before.currency));
	}
	const lines = [...amounts]
		.sort(([a], [b]) => a - b)
		.map(([at, amount]): ChosenLine => ({ line: frozen.lines[at]!, at, amount }));
	const { currency } = frozen.total;
	const subtotal = money(lines.reduce((a, l) => a + l.amount.minor, 0) + offer.delivery.minor, currency);
	const { delivery, discount } = offer;
	const { depositPercent = '0' } = frozen;
	const { net, tax, total, parts } = taxed(lines, delivery, discount, frozen);
	const deposit = money(halfAwayFromZero(rational(depositPercent).div(100).mul(total.minor)), currency);
	return { lines, delivery, discount, subtotal, net, tax, taxes: parts, total, deposit };
}

/** Net and tax by their rates, each rounded once. */
const taxed = (
	lines: readonly ChosenLine[],
	delivery: Money,
	discount: Money,
	{ taxPercent: percent, taxInclusive: inclusive }: FrozenQuote
) =>
	taxesOf(
		{
			lines: lines.map(({ line, amount }) => ({ minor: amount.minor, percent: line.tax })),
			delivery: delivery.minor,
			discount: discount.minor
		},
		{ percent, inclusive },
		discount.currency
	);

/** As it was sent, with nothing to choose. */
function plainOf(frozen: FrozenQuote): ChosenQuote {
	const { delivery, discount, subtotal, net, tax, total, deposit } = frozen;
	const lines = frozen.lines.map((line, at) => ({ line, at, amount: line.amount }));
	const { parts: taxes } = taxed(lines, delivery, discount, frozen);
	return { lines, delivery, discount, subtotal, net, tax, taxes, total, deposit };
}

/** A choice that can be added up: a level that is open is looked at as the first. */
export const atSomeLevel = (frozen: FrozenQuote, choice: ClientChoice = NOTHING_CHOSEN): ClientChoice =>
	isLevelOpen(frozen, choice) ? { ...choice, level: frozen.offers?.[0]?.level ?? null } : choice;

/** As it stands where nothing more is chosen than what is said. */
export function asShown(frozen: FrozenQuote, choice?: ClientChoice): ChosenQuote {
	const chosen = chosenOf(frozen, atSomeLevel(frozen, choice));
	return 'refused' in chosen ? plainOf(frozen) : chosen;
}
