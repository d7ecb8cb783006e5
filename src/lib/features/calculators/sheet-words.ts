import { formatInches, um } from '../../core/units/length.ts';

/** A side to the sixteenth of an inch, as it is marked. @param length µm */
export const sheetInches = (length: number): string => formatInches(um(Math.round(length / 1587.5) * 1587.5));
