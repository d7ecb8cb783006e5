import { converter, formatHex, interpolate } from 'culori/fn';
import { modeRgb, modeOklab, useMode } from 'culori/fn';
import type { Finish } from '../materials/material.ts';

useMode(modeRgb);
useMode(modeOklab);

/** A stop of the radial gradient that shades one ball, from the highlight out. */
export interface Stop {
	/** 0 at the highlight, 1 at the rim. */
	readonly at: number;
	readonly hex: string;
}

/** How much light and how much dark a finish shows, by eye. */
const SHINE: Readonly<Record<Finish, { light: number; dark: number; body: number }>> = {
	matte: { light: 0.34, dark: 0.26, body: 0.42 },
	pearl: { light: 0.58, dark: 0.3, body: 0.5 },
	mirror: { light: 0.88, dark: 0.5, body: 0.38 },
	'see-through': { light: 0.7, dark: 0.12, body: 0.55 },
	neon: { light: 0.3, dark: 0.14, body: 0.5 },
	confetti: { light: 0.6, dark: 0.14, body: 0.5 },
	printed: { light: 0.34, dark: 0.26, body: 0.42 }
};

/** How paint of a colour nobody said shows on a balloon: darker on a light one, lighter on a dark one. By eye. */
export function paintOn(hex: string): string {
	const l = converter('oklab')(hex)?.l ?? 1;
	return formatHex(interpolate([hex, l > 0.6 ? '#10141c' : '#ffffff'], 'oklab')(l > 0.6 ? 0.45 : 0.6)) ?? hex;
}

const cache = new Map<string, readonly Stop[]>();

/** Shading of a ball in a colour and finish; mixed in OKLab so that hues hold. Kept per colour. */
export function shade(hex: string, finish: Finish): readonly Stop[] {
	const key = `${hex}/${finish}`;
	const cached = cache.get(key);
	if (cached) return cached;
	const { light, dark, body } = SHINE[finish];
	const mix = (other: string, amount: number) => formatHex(interpolate([hex, other], 'oklab')(amount)) ?? hex;
	const stops = [
		{ at: 0, hex: mix('#ffffff', light) },
		{ at: body, hex },
		{ at: 0.82, hex: mix('#10141c', dark * 0.45) },
		{ at: 1, hex: mix('#10141c', dark) }
	];
	cache.set(key, stops);
	return stops;
}
