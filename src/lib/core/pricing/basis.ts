import { ZERO, type Rational } from '../units/rational.ts';

/** What a price may be made from: all of it for the whole of a line. */
export interface Basis {
	/** All it costs, minor units. */
	readonly cost: Rational;
	/** Materials, losses and the share of what comes back, minor units. */
	readonly materials: Rational;
	/** Hours of work by the standards. */
	readonly hours: Rational;
	/** Hours of the owner's own, and what they are reckoned at in the cost, minor units. */
	readonly ownHours: Rational;
	readonly ownCost: Rational;
	/** Feet it stands high or goes along, balloons, pieces; for a rate card. */
	readonly feet: number;
	readonly balloons: number;
	readonly pieces: number;
	/** Its class on a rate card; null is no piece: a drive, a job. */
	readonly kind: CardClass | null;
}

/** What is known by its cost alone: a delivery, a job, a sum. */
export const costAlone = (cost: Rational): Basis => ({
	cost,
	materials: cost,
	hours: ZERO,
	ownHours: ZERO,
	ownCost: ZERO,
	feet: 0,
	balloons: 0,
	pieces: 0,
	kind: null
});

/** Classes of pieces a rate card tells apart, as the trade speaks of them. */
export const CARD_CLASSES = ['column', 'garland', 'panel', 'bunch', 'other'] as const;
export type CardClass = (typeof CARD_CLASSES)[number];

/** A rate of the card: what a class of piece takes for each foot, balloon or piece. Minor units. */
export interface CardRate {
	readonly kind: CardClass;
	readonly by: (typeof CARD_BY)[number];
	readonly minor: number;
}
export const CARD_BY = ['foot', 'balloon', 'piece'] as const;

/** What the card says for a piece, minor units; undefined where it says nothing of its class. */
export function byCard(basis: Basis, card: readonly CardRate[]): number | undefined {
	if (basis.kind === null) return undefined;
	const rate = card.find((r) => r.kind === basis.kind) ?? card.find((r) => r.kind === 'other');
	if (!rate) return undefined;
	const many = { foot: basis.feet, balloon: basis.balloons, piece: basis.pieces }[rate.by];
	return rate.minor * many;
}
