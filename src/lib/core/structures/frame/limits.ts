/** Bounds of a frame: its schema, its line and its fields read the same ones. */

export const MOST_BARS = 12;
export const MOST_BENDS = 12;
export const MOST_USES = 1000;
