import type { Sun } from '../gas/heat.ts';

/** The weather a quote reckons with: what balloons sized at the studio become there. */
export interface QuoteClimate {
	/** Air at the studio and at the venue, K. */
	readonly here: number;
	readonly there: number;
	readonly sun: Sun;
	/** Venue over the sea, m. */
	readonly height: number;
	/** Gusts that are forecast, m/s; nothing is not asked. */
	readonly gust?: number | undefined;
}
