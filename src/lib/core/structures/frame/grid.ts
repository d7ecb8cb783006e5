/** An eighth of an inch: points of a frame are marked no finer, µm. */
const GRID = 3175;
/** The nearest mark. @param v µm */
export const toGrid = (v: number): number => Math.round(v / GRID) * GRID + 0;
