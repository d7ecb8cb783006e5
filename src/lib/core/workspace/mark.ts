import { modeLrgb, modeRgb, useMode, wcagContrast } from 'culori/fn';
import type { Business } from './settings.ts';

useMode(modeRgb);
useMode(modeLrgb);
/** The ink of every paper, and what stands on a dark ground. */
const [INK, LIGHT] = ['#1b2333', '#ffffff'] as const;

/** The mark of a business: its letters, their ground and their ink. Null where it has none. */
export interface StudioMark {
	readonly letters: string;
	readonly ground: string;
	readonly ink: string;
}

/** Letters in whichever of dark and light is read better on the ground (WCAG contrast). */
export function markOf({ mark, colour = INK }: Pick<Business, 'mark' | 'colour'>): StudioMark | null {
	if (!mark) return null;
	const ink = wcagContrast(colour, LIGHT) >= wcagContrast(colour, INK) ? LIGHT : INK;
	return { letters: mark, ground: colour, ink };
}
