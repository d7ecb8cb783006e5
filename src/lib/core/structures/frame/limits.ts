/** Bounds of a frame: its schema, its line and its fields read the same ones. */

export const MOST_BARS = 12;
export const MOST_BENDS = 12;
export const MOST_USES = 1000;
export const MOST_STICKS = 12;
export const MOST_PARTS = 60;
export const MOST_GUYS = 8;
/** A point of a part is no further from the middle than this, µm. */
export const FARTHEST = 15_000_000;
