/** What a kind answers that is as large as it is, whatever the design: nothing of it changes. */
const asItIs = <S>(structure: S): S => structure;

export const KEEPS_SIZE = { scaled: asItIs, lengthened: asItIs } as const;
export const ON_NO_HOST = { unhosted: asItIs } as const;
export const NOT_LEADING = {
	leads: () => null,
	size: () => ({ mm: 0, known: false }),
	toHeight: asItIs
} as const;
export const NOTHING_SWAPPED = { swappables: () => [], exchange: asItIs } as const;
export const NO_WAY = { way: () => null, goesAlong: () => null, along: asItIs } as const;
export const NO_STROKES = { pumped: asItIs } as const;
