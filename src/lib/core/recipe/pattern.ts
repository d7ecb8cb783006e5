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
}

/** The slot a pattern gives a place. Every list holds at least one slot (the schema sees to it). */
export function slotAt(pattern: Pattern, { place, ringOfRow, ringOfStack }: PatternSpot): string {
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

/** Every slot a pattern names, once each, in order. */
export function slotsOf(pattern: Pattern): string[] {
	if (pattern.kind === 'same') return [pattern.slot];
	const named = pattern.kind === 'blocks' ? pattern.blocks.map((b) => b.slot) : pattern.slots;
	return [...new Set(named)];
}
