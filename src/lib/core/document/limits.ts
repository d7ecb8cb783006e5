import type { Micrometres } from '../units/length.ts';

/** Bounds of a recipe: the schema, the entry line and the panels read the same ones. */

/** Most balloons in one cluster. */
export const MOST_IN_CLUSTER = 12;
/** Most layers alike in one row. */
export const MOST_REPEATS = 200;
/** Most pieces or items that are said at once. */
export const MOST_ALIKE = 200;
/** Most clusters that are said of a path or a leg. */
export const MOST_ON_PATH = 2000;
/** Most letters of one wording of foils. */
export const MOST_LETTERS = 40;
/** Most letters of a name. */
export const MOST_IN_NAME = 80;
/** Longest anything is, µm: 200 m, some 650 ft. */
export const LONGEST = 200_000_000 as Micrometres;
/** Largest quantity, and most of a thing for each of another. */
export const MOST_OF_A_LINE = 10_000;
export const MOST_FIXINGS = 100;
/** Largest number any field holds. */
export const LARGEST = 1_000_000_000;
