import type { Id } from '../document/id.ts';

/** One of the colours of an assorted bag, and its share of it. */
export interface PartColour {
	readonly colour: Id;
	/** Of so many of all parts together it is. */
	readonly parts: number;
	readonly hex: string;
}

/**
 * Lays balloons of an assorted bag out one after the other so that neighbours differ where they can: each takes the colour
 * that the fewest of its neighbours have, of those the one that is furthest behind its share. House rule; a greedy
 * colouring, so it needs at most one colour more than a balloon has neighbours before it.
 */
export class LaidOut {
	readonly #used: number[];
	constructor(readonly of: readonly Pick<PartColour, 'parts'>[]) {
		this.#used = of.map(() => 0);
	}
	/** @param near what its neighbours that lie already were given @returns the index of its colour */
	next(near: readonly number[]): number {
		let best = 0;
		let [least, behind] = [Infinity, Infinity];
		this.of.forEach(({ parts }, i) => {
			const alike = near.filter((n) => n === i).length;
			const share = this.#used[i]! / parts;
			if (alike < least || (alike === least && share < behind)) [best, least, behind] = [i, alike, share];
		});
		this.#used[best]!++;
		return best;
	}
}

/** How likely two balloons that are taken as they come are of one colour, 0 to 1: the sum of the squares of the shares. */
export function alikeAtRandom(of: readonly Pick<PartColour, 'parts'>[]): number {
	const all = of.reduce((a, p) => a + p.parts, 0);
	return all === 0 ? 0 : of.reduce((a, p) => a + (p.parts / all) ** 2, 0);
}
