import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { Id } from './id.ts';

/** What makes a balloon a weight. */
export const FILLINGS = ['sand', 'water', 'marbles'] as const;
export type Filling = (typeof FILLINGS)[number];

/** What a litre of it weighs, kg. Sand poured dry 1.6, glass marbles with the air between them 1.5: common practice. */
export const FILLING_KG: Readonly<Record<Filling, number>> = { sand: 1.6, water: 1, marbles: 1.5 };
/** A marble of 16 mm with the air between it and the next, litres: 2.14 ml of glass, six tenths of the room. From memory. */
export const MARBLE_LITRES = 0.0036;

/** How much is said in: grams, litres, pieces (marbles), or a share of the balloon. */
export const AMOUNTS = ['g', 'l', 'pieces', 'share'] as const;
export interface FillAmount {
	readonly n: number;
	readonly in: (typeof AMOUNTS)[number];
}

/** What weighs a balloon down; full where no amount is said. */
export interface Weighing {
	readonly of: Filling;
	readonly amount?: FillAmount | undefined;
}

/** A balloon in the balloon, which may be weighed down itself, or what weighs it down. */
export type Inside =
	| {
			readonly kind: 'balloon';
			readonly nominal: Micrometres;
			readonly size: Size;
			readonly slot: Id;
			readonly holds?: Weighing | undefined;
	  }
	| ({ readonly kind: 'filling' } & Weighing);

/** Litres of what weighs a balloon down. @param full what it takes when full, litres */
export function fillLitres({ of, amount }: Weighing, full: number): number {
	if (!amount) return full;
	switch (amount.in) {
		case 'g':
			return amount.n / 1000 / FILLING_KG[of];
		case 'l':
			return amount.n;
		case 'pieces':
			return amount.n * MARBLE_LITRES;
		case 'share':
			return full * amount.n;
	}
}

const SHARES: Readonly<Record<string, string>> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/** How much, as a field shows it; blank is full. */
export const amountWords = ({ amount }: Weighing): string =>
	!amount
		? ''
		: amount.in === 'share'
			? (SHARES[amount.n] ?? String(amount.n))
			: `${amount.n}${amount.in === 'pieces' ? '' : ` ${amount.in}`}`;

/** `filled with sand`, `½ filled with sand`, `filled with 200 g sand`, `filled with 5 marbles`: as it is typed. */
export function weighingWords({ of, amount }: Weighing): string {
	if (!amount) return `filled with ${of}`;
	if (amount.in === 'share') return `${SHARES[amount.n] ?? amount.n} filled with ${of}`;
	return `filled with ${amount.n}${amount.in === 'pieces' ? '' : ` ${amount.in}`} ${of}`;
}
