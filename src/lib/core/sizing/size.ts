import type { LengthUnit, Micrometres } from '../units/length.ts';
import { formatLength } from '../units/length.ts';

/** Where a number came from; every number keeps it. */
export type Origin = 'typed' | 'measured' | 'estimated' | 'derived';

/** Sizes said in a word. */
export const SIZE_WORDS = ['loose', 'soft', 'full', 'random', 'by look'] as const;
export type SizeWord = (typeof SIZE_WORDS)[number];

/** An inflated size as makers say it: never the nominal size on the bag. */
export type Size =
	| { readonly kind: 'value'; readonly um: Micrometres; readonly unit: LengthUnit; readonly origin: Origin }
	| {
			readonly kind: 'range';
			readonly low: Micrometres;
			readonly high: Micrometres;
			readonly unit: LengthUnit;
			readonly origin: Origin;
	  }
	| {
			readonly kind: 'strokes';
			readonly strokes: number;
			readonly pump: string | null;
			readonly origin: Origin;
			/** What a measured pump brings a round balloon to with them: worked out when a recipe is resolved, never kept. */
			readonly reaches?: Micrometres;
	  }
	| { readonly kind: 'word'; readonly word: SizeWord; readonly origin: Origin }
	| { readonly kind: 'unknown' };

export const UNKNOWN_SIZE: Size = { kind: 'unknown' };

/** `8½`, `8–9`, `10 strokes`, `soft`; a dash for what is not known, never 0. */
export function printSize(size: Size): string {
	switch (size.kind) {
		case 'value':
			return formatLength(size);
		case 'range':
			return `${formatLength({ um: size.low, unit: size.unit })}–${formatLength({ um: size.high, unit: size.unit })}`;
		case 'strokes':
			return `${size.strokes} ${size.strokes === 1 ? 'stroke' : 'strokes'}`;
		case 'word':
			return size.word;
		case 'unknown':
			return '—';
	}
}

const sizeKeys = new WeakMap<Size, string>();

/** Two sizes are one line of the list to inflate when they print and measure alike. Sizes never change: kept. */
export function sizeKey(size: Size): string {
	const cached = sizeKeys.get(size);
	if (cached !== undefined) return cached;
	const key = JSON.stringify({ ...size, origin: undefined, reaches: undefined });
	sizeKeys.set(size, key);
	return key;
}
