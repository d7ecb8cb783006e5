/** How full a balloon is, as the trade says it. */
export type FillBand = 'pear-shaped' | 'soft' | 'usual' | 'firm' | 'full';

/** Upper edges of the bands, as inflated over nominal. Common practice; an owner may edit them. */
export const FILL_EDGES = { pear: 0.5, soft: 0.75, usual: 0.92, firm: 0.97 } as const;

/** Above this times the safe diameter a size is refused; between 1 and this it is a warning. Common practice. */
export const REFUSED_OVER = 1.1;

/**
 * @param fill inflated over nominal diameter, above 0
 * @returns the band; `firm` is the gap the trade leaves unnamed between usual and full
 */
export function fillBand(fill: number, edges: typeof FILL_EDGES = FILL_EDGES): FillBand {
	if (fill < edges.pear) return 'pear-shaped';
	if (fill < edges.soft) return 'soft';
	if (fill <= edges.usual) return 'usual';
	return fill <= edges.firm ? 'firm' : 'full';
}

export type SafeVerdict = 'safe' | 'over' | 'refused';

/**
 * @param diameter inflated size, in the unit of `safe`
 * @param safe the material's safe diameter, the nominal size where the maker gives none
 */
export function safeVerdict(diameter: number, safe: number): SafeVerdict {
	if (diameter <= safe) return 'safe';
	return diameter <= safe * REFUSED_OVER ? 'over' : 'refused';
}
