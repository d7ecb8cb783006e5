/** Between how many: fewer and more of something than what is reckoned with. */
export interface CountRange {
	readonly low: number;
	readonly high: number;
}

/** How many of something, and between how many where that is not known yet. */
export interface Many {
	readonly count: number;
	readonly range?: CountRange | undefined;
}

/** As many as lie in the middle of the fewest and the most. */
export const ranged = (low: number, high: number): Required<Many> & { readonly range: CountRange } => ({
	count: Math.round((low + high) / 2),
	range: { low, high }
});

/** `3`, `2 to 4`. */
export const manyWords = ({ count, range }: Many): string =>
	range ? `${range.low} to ${range.high}` : String(count);
