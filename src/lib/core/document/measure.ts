/** What a height is said of: the highest balloon, the top of the clusters without a single one on top, the pole. */
export const MEASURES = ['over all', 'clusters', 'pole'] as const;
export type SaidOf = (typeof MEASURES)[number];
/** Sizes that do not say it are of the rows: each a slab of its own pitch, whatever is on top. */
export type Measure = SaidOf | 'rows';

/** Said behind a height: “6 ft over all”. */
export const MEASURE_WORDS: Readonly<Record<Measure, string>> = {
	'over all': 'over all',
	clusters: 'to the top of the clusters',
	pole: 'of pole',
	rows: 'of rows, one on the other'
};
