/** What of a piece can hurt somebody, as its bill and its recipe show it. */
export const HAZARDS = [
	'children',
	'latex',
	'foil',
	'burst',
	'tall',
	'floor',
	'glue',
	'paint',
	'line',
	'cutting',
	'lifting',
	'inflator',
	'helium',
	'scissors',
	'driving',
	'hung',
	'under'
] as const;

// prettier-ignore
export type Hazard = (typeof HAZARDS)[number];
