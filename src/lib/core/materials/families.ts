import { converter, modeLab65, modeRgb, useMode } from 'culori/fn';
import { colourDistance } from './colour-distance.ts';
import type { Colour } from './material.ts';

useMode(modeRgb);
useMode(modeLab65);
const lab = converter('lab65');

/** Families of colours as people name them. */
export const FAMILIES = ['whites', 'greys', 'blacks', 'browns', 'pinks', 'reds', 'oranges', 'yellows', 'greens', 'blues', 'purples'] as const; // prettier-ignore
export type Family = (typeof FAMILIES)[number];

/**
 * The family of a colour by its lightness, chroma and hue in CIELAB (D65). Where one ends and the next begins is common
 * practice, roughly: people differ at the edges.
 * @param hex `#rrggbb`
 */
export function familyOf(hex: string): Family {
	const own = lab(hex);
	if (!own) return 'greys';
	const { l, a, b } = own;
	const chroma = Math.hypot(a, b);
	const hue = (Math.atan2(b, a) * 180) / Math.PI + (b < 0 ? 360 : 0);
	if (l < 18 && chroma < 14) return 'blacks';
	if (chroma < 9) return l > 84 ? 'whites' : l < 20 ? 'blacks' : 'greys';
	if (l > 91 && chroma < 14) return 'whites';
	if (hue >= 30 && hue < 92 && l < 52 && chroma < 58) return 'browns';
	if (hue < 42 || hue >= 336) return l > 62 || hue >= 336 ? 'pinks' : 'reds';
	if (hue < 78) return 'oranges';
	if (hue < 108) return 'yellows';
	if (hue < 196) return 'greens';
	// The bluest blues of screens lie towards purple in this space.
	return hue < 296 || (hue < 309 && chroma > 75) ? 'blues' : 'purples';
}

/** Colours family by family, each from light to dark. */
export function byFamily<C extends Pick<Colour, 'hex'>>(colours: readonly C[]): readonly { readonly family: Family; readonly colours: readonly C[] }[] {
	const light = (c: C) => lab(c.hex)?.l ?? 0;
	return FAMILIES.flatMap((family) => {
		const own = colours.filter((c) => familyOf(c.hex) === family).toSorted((a, b) => light(b) - light(a));
		return own.length > 0 ? [{ family, colours: own }] : [];
	});
} // prettier-ignore

/** Nearer than this to what stands behind it, a colour is lost from across a room. House rule. */
const LOST = 12;
const WEAK = 25;

/** How a colour stands out from what is behind it, by CIEDE2000. @param hex and behind `#rrggbb` */
export function standsOut(hex: string, behind: string): { readonly distance: number; readonly says: string; readonly isWeak: boolean } {
	const distance = colourDistance(hex, behind);
	const says = distance < LOST ? 'is lost against it' : distance < WEAK ? 'stands out weakly' : 'stands out';
	return { distance, says, isWeak: distance < WEAK };
} // prettier-ignore
