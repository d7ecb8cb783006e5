import type { Upright } from '../structures/stack/document.ts';

/** A pole, stick or line between two points of the picture, mm; y up from the floor. */
export interface Tube {
	readonly x1: number;
	readonly y1: number;
	readonly x2: number;
	readonly y2: number;
	/** mm */
	readonly width: number;
	/** `#rrggbb`; nothing is what pipes are drawn in. */
	readonly hex?: string | undefined;
	/** Discs drawn before it: those behind. */
	readonly before: number;
}

/** Thickness an upright is drawn at, mm; house rules but the mast balloon, a 260: 2 in. */
export const UPRIGHT_WIDTH: Readonly<Record<Upright['kind'], number>> = {
	none: 0,
	pole: 26,
	stick: 14,
	'mast balloon': 51,
	line: 4
};

/** Wood of a board, table or box, and the cloth of a sandbag. */
export const WOOD_HEX = '#b08d62';
export const BAG_HEX = '#8a7f6d';

/** What pipes and poles are drawn in. */
export const TUBE_HEX = '#6b747d';
