import { differenceCiede2000, modeLab65, modeRgb, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeLab65);
/** CIEDE2000 (published: Sharma, Wu & Dalal 2005), as culori computes it. */
const difference = differenceCiede2000();

/** How far two colours are from each other to the eye, CIEDE2000; infinite where one is no colour. @param a `#rrggbb` */
export const colourDistance = (a: string, b: string): number => difference(a, b) ?? Infinity;
