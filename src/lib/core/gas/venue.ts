/** What air at a venue may be typed as: any a balloon is taken to. */
export const VENUE_AIR = {
	dimension: 'temperature',
	unit: 'f',
	min: 233.15,
	max: 333.15,
	between: '−40 and 140 °F'
} as const;

/** Heights above the sea that balloons are taken to. */
/** Gusts a job is set up for: over the last nothing of this kind stands outdoors. */
export const VENUE_GUST = {
	dimension: 'speed',
	unit: 'mph',
	min: 0.4,
	max: 40.3,
	between: '1 and 90 mph'
} as const;
export const VENUE_HEIGHT = {
	dimension: 'height',
	unit: 'ft',
	min: -430,
	max: 6000,
	between: '−1,400 and 19,600 ft'
} as const;
