/** How colour slots fall on the places of a cluster, ring by ring. */
export type Pattern =
	/** Every place of every ring. */
	| { readonly kind: 'same'; readonly slot: string }
	/** One slot a ring, in turn. */
	| { readonly kind: 'rings'; readonly slots: readonly string[] }
	/** Round the ring in order, the same places in every ring. */
	| { readonly kind: 'list'; readonly slots: readonly string[] }
	/** Like `list`, moved by one place a ring, to either hand: the strands wind. */
	| { readonly kind: 'spiral'; readonly slots: readonly string[]; readonly hand: 'left' | 'right' }
	/** Neighbours differ, and so do rings. */
	| { readonly kind: 'checker'; readonly slots: readonly string[] }
	/** From the first slot to the last over the whole row: each ring takes more and more of the next. */
	| { readonly kind: 'gradient'; readonly slots: readonly string[] }
	/** So many rings of one slot, then so many of the next, over again. */
	| {
			readonly kind: 'blocks';
			readonly blocks: readonly { readonly slot: string; readonly rings: number }[];
	  };

/** Where a place is asked about. */
export interface PatternSpot {
	/** Place in the ring, from 0. */
	readonly place: number;
	/** Ring counted from the lowest of this row, from 0: the stretch that rings and blocks work on. */
	readonly ringOfRow: number;
	/** Ring counted from the floor, from 0: spirals and checkers go on from row to row. */
	readonly ringOfStack: number;
	/** Rings of this row and places of the ring: what a gradient goes over, and nothing else asks for. */
	readonly rings?: number;
	readonly places?: number;
}

/** The slot a pattern gives a place. Every list holds at least one slot (the schema sees to it). */
export function slotAt(pattern: Pattern, spot: PatternSpot): string {
	const { place, ringOfRow, ringOfStack } = spot;
	const pick = (slots: readonly string[], index: number) =>
		slots[((index % slots.length) + slots.length) % slots.length]!;
	switch (pattern.kind) {
		case 'same':
			return pattern.slot;
		case 'rings':
			return pick(pattern.slots, ringOfRow);
		case 'list':
			return pick(pattern.slots, place);
		case 'spiral':
			return pick(pattern.slots, place + (pattern.hand === 'left' ? ringOfStack : -ringOfStack));
		case 'checker':
			return pick(pattern.slots, place + ringOfStack);
		case 'gradient':
			return blended(pattern.slots, spot);
		case 'blocks': {
			const cycle = pattern.blocks.reduce((a, b) => a + b.rings, 0);
			let ring = ringOfRow % cycle;
			for (const block of pattern.blocks) {
				if (ring < block.rings) return block.slot;
				ring -= block.rings;
			}
			return pattern.blocks[0]!.slot;
		}
	}
}

/** Share of the golden ratio: the places that change first lie apart from each other. */
const SCATTER = 0.618033988749895;

/** Between two slots a ring takes as many of the next as it is on its way there, scattered round. */
function blended(slots: readonly string[], { place, ringOfRow, rings = 1, places = 1 }: PatternSpot): string {
	const on = rings > 1 ? (ringOfRow / (rings - 1)) * (slots.length - 1) : 0;
	const from = Math.min(slots.length - 1, Math.floor(on));
	const next = Math.round((on - from) * places);
	// The rank of each place in the order of its scattered number.
	const order = (p: number) => ((p + ringOfRow) * SCATTER) % 1;
	let rank = 0;
	for (let other = 0; other < places; other++) if (order(other) < order(place)) rank++;
	return slots[Math.min(slots.length - 1, rank < next ? from + 1 : from)]!;
}

/** Every slot a pattern names, once each, in order. */
export function slotsOf(pattern: Pattern): string[] {
	if (pattern.kind === 'same') return [pattern.slot];
	const named = pattern.kind === 'blocks' ? pattern.blocks.map((b) => b.slot) : pattern.slots;
	return [...new Set(named)];
}
