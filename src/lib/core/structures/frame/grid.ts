import type { FramePart, FramePoint } from './document.ts';

/** An eighth of an inch: points of a frame are marked no finer, µm. */
const GRID = 3175;
/** The nearest mark. @param v µm */
export const toGrid = (v: number): number => Math.round(v / GRID) * GRID + 0;

export const isSamePoint = (a: FramePoint, b: FramePoint): boolean => a.every((v, i) => v === b[i]);
/** A tube that goes nowhere. */
export const isNothing = ({ from, to }: FramePart): boolean => isSamePoint(from, to);
