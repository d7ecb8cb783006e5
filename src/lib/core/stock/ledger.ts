import { rational, ZERO, type Rational } from '../units/rational.ts';

/** What may happen to what is on the shelf. A count is the difference to what should have been there. */
export const MOVE_KINDS = ['bought', 'used', 'lost', 'repaired', 'returned', 'counted', 'moved'] as const;
export type MoveKind = (typeof MOVE_KINDS)[number];

export const MOVE_WORDS: Readonly<Record<MoveKind, string>> = {
	bought: 'bought',
	used: 'used',
	lost: 'lost or broken',
	repaired: 'mended, back on the shelf',
	returned: 'brought back',
	counted: 'counted',
	moved: 'moved to or from elsewhere'
};

/** Which way each goes: in, out, or either. */
export const MOVE_WAY: Readonly<Record<MoveKind, 1 | -1 | 0>> = {
	bought: 1,
	used: -1,
	lost: -1,
	repaired: 1,
	returned: 1,
	counted: 0,
	moved: 0
};

/** Why something was lost. */
export const LOSS_CAUSES = ['holed', 'popped', 'cut', 'site', 'faded', 'other'] as const;
export type LossCause = (typeof LOSS_CAUSES)[number];

export const CAUSE_WORDS: Readonly<Record<LossCause, string>> = {
	holed: 'holed in the bag',
	popped: 'popped on inflating',
	cut: 'cut by a line',
	site: 'popped where it stood',
	faded: 'faded or dulled',
	other: 'something else'
};

/** One movement of one material. It is never changed: another one puts it right. */
export interface Move {
	readonly id: string;
	/** `YYYY-MM-DD` */
	readonly day: string;
	readonly kind: MoveKind;
	/** Thousandths of a piece, or of the unit it is counted in; below 0 it leaves. */
	readonly thousandths: number;
	/** What all of it cost, minor units; null is not known, and nothing for what leaves. */
	readonly costMinor: number | null;
	readonly note: string;
	/** Of what was lost: why. */
	readonly cause?: LossCause | undefined;
	/** The lot it was made in, as its bag says. */
	readonly batch?: string | undefined;
	/** Who sold it. */
	readonly supplier?: string | undefined;
}

/** So much that came in on one day and is there still, oldest first. */
export interface StockLayer {
	readonly day: string;
	readonly thousandths: number;
	/** What a piece of it cost, minor units; null is not known. */
	readonly each: Rational | null;
}

/** What the ledger comes to. */
export interface OnShelf {
	/** Thousandths; below 0 more went than is known to have come. */
	readonly onHand: number;
	readonly layers: readonly StockLayer[];
	/** What is there of known cost, minor units; and whether that is all. */
	readonly value: Rational;
	readonly valueKnown: boolean;
	/** What a piece of what is there of known cost comes to on average; null where none is known. */
	readonly average: Rational | null;
}

/**
 * What is on the shelf by its movements, in the order of their days: first in, first out (textbook); what a count finds
 * more is of unknown cost, what it finds less leaves from the oldest.
 */
export function onShelf(moves: readonly Move[]): OnShelf {
	const layers: { day: string; thousandths: number; each: Rational | null }[] = [];
	let onHand = 0;
	for (const { day, thousandths, costMinor } of [...moves].sort(byDay)) {
		// What went before it was known to have come is made up for first.
		const short = Math.max(0, -onHand);
		onHand += thousandths;
		if (thousandths > 0) {
			const stays = thousandths - Math.min(short, thousandths);
			const each = costMinor === null ? null : rational(costMinor * 1000, thousandths);
			if (stays > 0) layers.push({ day, thousandths: stays, each });
		} else takeOldest(layers, -thousandths);
	}
	const known = layers.filter((l) => l.each !== null);
	const value = known.reduce((a, l) => a.add(l.each!.mul(rational(l.thousandths, 1000))), ZERO);
	const pieces = known.reduce((a, l) => a + l.thousandths, 0);
	return {
		onHand,
		layers,
		value,
		valueKnown: known.length === layers.length,
		average: pieces === 0 ? null : value.div(rational(pieces, 1000))
	};
}

const byDay = (a: Move, b: Move): number => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0);

function takeOldest(layers: { thousandths: number }[], wanted: number) {
	let left = wanted;
	while (left > 0 && layers[0]) {
		const from = layers[0];
		const taken = Math.min(left, from.thousandths);
		from.thousandths -= taken;
		left -= taken;
		if (from.thousandths === 0) layers.shift();
	}
}

/**
 * When to order again: the most that left in any so many days of the last half year, so that what is there lasts until
 * more comes. House rule. @param today `YYYY-MM-DD` @param leadDays from the order to the door
 * @returns thousandths; 0 where nothing left
 */
export function reorderAt(moves: readonly Move[], today: string, leadDays: number): number {
	const DAY = 86_400_000;
	const now = Date.parse(today);
	const left = moves
		.filter((m) => m.thousandths < 0 && (m.kind === 'used' || m.kind === 'lost'))
		.map((m) => ({ at: Math.round((Date.parse(m.day) - now) / DAY), out: -m.thousandths }))
		.filter((m) => m.at <= 0 && m.at > -183);
	return left.reduce((most, { at }) => {
		const within = left.filter((o) => o.at >= at && o.at < at + Math.max(1, leadDays));
		return Math.max(
			most,
			within.reduce((a, o) => a + o.out, 0)
		);
	}, 0);
}

/** Whether it is time to order: what is there and what is to come lasts no longer than it takes to come, or more went than came. Thousandths. */
export const toOrderAgain = ({ onHand, coming, reorder }: { readonly onHand: number; readonly coming: number; readonly reorder: number }): boolean =>
	onHand < 0 || (reorder > 0 && onHand + coming <= reorder); // prettier-ignore

/** `2 bags and 34`; `34` where none is whole or the pack is one piece. @param thousandths on hand @param pack pieces in one */
export function inBags(thousandths: number, pack: number | undefined): string {
	const pieces = thousandths / 1000;
	const text = (n: number) => String(Math.round(n * 10) / 10);
	if (pack === undefined || pack < 2 || pieces < pack) return text(pieces);
	const bags = Math.floor(pieces / pack);
	const rest = pieces - bags * pack;
	return `${bags} ${bags === 1 ? 'bag' : 'bags'}${rest > 0.05 ? ` and ${text(rest)}` : ''}`;
}
