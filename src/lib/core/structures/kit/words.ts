import { formatFeet, formatQuarters, mm } from '../../units/length.ts';

/** A length in feet and inches. @param length mm */
export const feet = (length: number): string => formatFeet(mm(length));

/** A length in inches, to the quarter. @param length mm */
export const inch = (length: number): string => `${formatQuarters(length)} in`;
