import type { LoosePart, PlaceContext, Placed } from '../facets/picture.ts';
import { ORIGIN } from './spot.ts';

export const NOTHING_PLACED: Placed = { stacks: [], loose: [] };

/** Balls and strands of one copy, where they are. */
export const loosely = (
	{ balls, strands, holders }: Pick<LoosePart, 'balls' | 'strands' | 'holders'>,
	{ colourway }: Pick<PlaceContext, 'colourway'>
): Placed => ({
	stacks: [],
	loose: [{ balls, strands, ...(holders?.length ? { holders } : {}), colourway, spots: [ORIGIN] }]
});

/** How most kinds stand. */
export const BY_ITSELF = { stands: () => 'by itself' as const, alone: true };
